/** Topics for other programs: written, read back and compared before they replace a file. */
package wellspan.exchange.bcf;
