/** What a received file turned out to hold. */
package wellspan.core.receive;
