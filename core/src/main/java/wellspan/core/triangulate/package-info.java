/**
 * Makes terrain surfaces from points, breaklines, boundaries and holes: settles points at one
 * place, cuts lines where they cross, triangulates, and makes sure that every line became a chain
 * of edges.
 */
package wellspan.core.triangulate;
