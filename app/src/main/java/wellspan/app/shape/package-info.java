/** The stop Shape: steps with their figures, flaws and their mends, surfaces made and compared. */
package wellspan.app.shape;
