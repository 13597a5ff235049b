/** Level and graded areas whose side slopes run out on the ground. */
package wellspan.core.pad;
