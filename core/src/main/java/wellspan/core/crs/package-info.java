/**
 * Coordinate reference systems: the catalogue that ships, own systems from WKT or PROJ text,
 * transformation between systems, and what a projection does to directions and lengths.
 */
package wellspan.core.crs;
