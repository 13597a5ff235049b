package wellspan.exchange.ifc.write;

import wellspan.core.align.Alignment;
import wellspan.core.align.MovedAlignment;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.schema.IfcSchema;

/**
 * Shared coordinates as they are written: local ones in the file's unit. Where the schema knows
 * only one scale for all three axes, levels are written with the horizontal scale, so that the map
 * conversion gives the true level back.
 */
final class LocalCoordinates {
  private final Similarity similarity;
  private final double unit;
  private final double zero;
  private final double upwards;
  private final int decimals;

  LocalCoordinates(Parcel parcel) {
    similarity = parcel.frame().local();
    unit = parcel.unit().metres();
    decimals = parcel.format().decimals(parcel.unit());
    zero = parcel.frame().basePoint().level();
    upwards = parcel.schema() == IfcSchema.IFC4X3 ? 1 : parcel.frame().scale();
  }

  /** Metres in the file's unit. */
  double unit() {
    return unit;
  }

  double level(double height) {
    return (height - zero) * upwards / unit;
  }

  /** x, y and z; z is left out where the height is not known. */
  double[] of(Position shared) {
    Position p = similarity.apply(shared);
    return Double.isFinite(shared.level())
        ? new double[] {p.east() / unit, p.north() / unit, level(shared.level())}
        : new double[] {p.east() / unit, p.north() / unit};
  }

  /** Rows of points given in threes. */
  StepValue.RowSource rows(double[] xyz) {
    double c = similarity.scale() * Math.cos(similarity.rotation());
    double s = similarity.scale() * Math.sin(similarity.rotation());
    double e0 = similarity.from().east();
    double n0 = similarity.from().north();
    return (i, row) -> {
      double dx = xyz[3 * i] - e0;
      double dy = xyz[3 * i + 1] - n0;
      row[0] = (dx * c - dy * s) / unit;
      row[1] = (dx * s + dy * c) / unit;
      row[2] = level(xyz[3 * i + 2]);
    };
  }

  /** Decimals that keep a micrometre: a thousandth of what counts as a deviation. */
  int decimals() {
    return decimals;
  }

  /** An alignment in local coordinates, in metres. */
  Alignment of(Alignment shared) {
    return MovedAlignment.by(similarity, shared);
  }
}
