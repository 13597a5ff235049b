/** Pictures of the ground and where they lie. */
package wellspan.core.picture;
