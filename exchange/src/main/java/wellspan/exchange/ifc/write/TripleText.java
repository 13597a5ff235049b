package wellspan.exchange.ifc.write;

/**
 * Triangles as triples of one-based indices.
 *
 * @param zeroBased three for each triangle
 */
record TripleText(int[] zeroBased) implements RowText {
  @Override
  public int append(int row, byte[] to, int at) {
    int p = at;
    to[p++] = '(';
    p = Digits.natural(zeroBased[3 * row] + 1L, to, p);
    to[p++] = ',';
    p = Digits.natural(zeroBased[3 * row + 1] + 1L, to, p);
    to[p++] = ',';
    p = Digits.natural(zeroBased[3 * row + 2] + 1L, to, p);
    to[p++] = ')';
    return p;
  }
}
