/** Writes drawings as ASCII DXF of release R12, 2000 or 2018. Shares nothing with the reader. */
package wellspan.exchange.dxf.write;
