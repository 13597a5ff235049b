/** Cross sections through what is there: bodies, surfaces and lines cut square to an alignment. */
package wellspan.core.cut;
