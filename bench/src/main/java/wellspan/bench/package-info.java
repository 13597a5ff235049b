/**
 * How fast the heart is. Run with {@code ./bench/run}; figures stand in {@code bench/README.md}.
 */
package wellspan.bench;
