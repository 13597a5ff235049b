/**
 * Two surfaces laid over each other: exact level differences and volumes on the common pieces of
 * both triangulations.
 */
package wellspan.core.overlay;
