/** What all readers share: how a file that cannot be read is reported, and numbers in text. */
package wellspan.exchange.file;
