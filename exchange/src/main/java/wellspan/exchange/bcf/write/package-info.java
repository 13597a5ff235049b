/** Writes findings on models as buildingSMART's BCF. */
package wellspan.exchange.bcf.write;
