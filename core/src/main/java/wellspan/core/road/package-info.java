/**
 * Roads as they are built: cross sections carried along an alignment become courses, kerbs,
 * footways and slopes as closed solids.
 */
package wellspan.core.road;
