/** Writes LandXML 1.2. Shares nothing with the reader. */
package wellspan.exchange.landxml.write;
