/**
 * Deliveries: what is sent (parcel), under which identity (GlobalId), and the proof that it arrived
 * (proof, receipt).
 */
package wellspan.core.deliver;
