package wellspan.core.shape;

/**
 * Numbers by which shapes are known, in metres, square metres or counts. Each shape has some of
 * them; who tells of shapes tells those.
 */
public enum Measure {
  TRIANGLES,
  /** Points or vertices by which it is given. */
  POINTS,
  /** In plan. */
  LENGTH,
  /** In plan; a closed body has half of what its faces cover. */
  PLAN_AREA,
  SURFACE_AREA,
  /** As displayed. */
  START_CHAINAGE,
  /** As displayed. */
  END_CHAINAGE,
  /** Of an alignment in plan. */
  ELEMENTS,
  PROFILE_PIECES,
  /** Pixels side by side. */
  COLUMNS,
  /** Pixels one below the other. */
  ROWS,
  /** Of a picture on the ground. */
  GROUND_WIDTH
}
