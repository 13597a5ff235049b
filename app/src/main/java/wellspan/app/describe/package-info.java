/** The stop Describe: class and known facts of the selected item. */
package wellspan.app.describe;
