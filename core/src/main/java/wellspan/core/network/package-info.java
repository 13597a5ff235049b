/** Drainage and other networks: chambers and pipes with levels, their bodies and what is wrong. */
package wellspan.core.network;
