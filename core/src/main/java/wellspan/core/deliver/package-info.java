/** Deliveries: what is sent (parcel), in which format, and under which identity (GlobalId). */
package wellspan.core.deliver;
