/** What goes into a parcel, and what is said of each piece. */
package wellspan.core.packing;
