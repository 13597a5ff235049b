/** What arrived beside what was sent: the comparison of written files with what went into them. */
package wellspan.core.proof;
