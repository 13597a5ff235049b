/** Reading JSON that people or other programs may have changed. */
package wellspan.core.json;
