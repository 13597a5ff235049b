/**
 * Makes the data of the Brindle Ness demo job: everything in it is invented, and every run makes
 * the same bytes.
 */
package wellspan.demo;
