package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.UnbrokenStretches;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Whether the parts of an alignment hang together, and what is drawn for it lies on it.
 *
 * @param own in the file's unit
 * @param metres length of that unit
 */
record AlignmentJumps(Alignment own, String name, double metres, List<Finding> findings) {
  /** Elements that end within this of the next one's start hang together, metres. */
  static final double JUMP = 5e-4;

  /** So far from a jump a place is on one side of it, metres. */
  private static final double ASIDE = 1e-7;

  /** The foot of a drawn point is looked for so far beyond the step to it, metres. */
  private static final double NEAR = 1;

  /** Names the largest jump between elements that follow each other, in plan and in the profile. */
  void continuous() {
    double worst = 0;
    int at = 0;
    List<PlanElement> e = own.elements();
    for (int i = 1; i < e.size(); i++) {
      PlanPoint end = e.get(i - 1).at(e.get(i - 1).length());
      PlanPoint start = e.get(i).start();
      double jump = Math.hypot(end.east() - start.east(), end.north() - start.north()) * metres;
      if (jump > worst) {
        worst = jump;
        at = i;
      }
    }
    if (worst > JUMP) {
      jump("element " + at + " ends", worst);
    }
    List<ProfileSegment> p = own.profile().map(Profile::segments).orElse(List.of());
    for (int i = 1; i < p.size(); i++) {
      ProfileSegment before = p.get(i - 1);
      double end = before.startDistance() + before.length();
      double off =
          Math.max(
                  Math.abs(before.levelAt(before.length()) - p.get(i).startLevel()),
                  Math.abs(end - p.get(i).startDistance()))
              * metres;
      if (off > JUMP) {
        jump("part " + i + " of the profile ends", off);
        return;
      }
    }
  }

  /** The segments of no length that close the layouts must stand where these end. */
  void closing(List<Instance> plan, List<Instance> profile) {
    for (Instance s : plan) {
      if (s.number("SegmentLength", 0) == 0) {
        double[] p = Placement.point(s.ref("StartPoint"));
        PlanPoint end = own.elements().getLast().end();
        double off = Math.hypot(p[0] - end.east(), p[1] - end.north()) * metres;
        if (off > JUMP) {
          jump("its plan ends", off);
        }
      }
    }
    for (Instance s : profile) {
      if (s.number("HorizontalLength", 0) == 0 && own.profile().isPresent()) {
        ProfileSegment last = own.profile().get().segments().getLast();
        double off =
            Math.max(
                    Math.abs(s.number("StartHeight") - last.endLevel()),
                    Math.abs(s.number("StartDistAlong") - last.endDistance()))
                * metres;
        if (off > JUMP) {
          jump("its profile ends", off);
        }
      }
    }
  }

  /** Lines of points that are drawn beside the curves must lie on the alignment. */
  void drawn(Instance alignment, CurveReader curves, Soundness soundness) {
    double worst = 0;
    for (Instance r :
        alignment.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of())) {
      for (Instance item : LineReader.elements(r.refs("Items"))) {
        Optional<String> fault = soundness.whole(item);
        if (fault.isPresent()) {
          throw new Unread(item, "cannot be read: " + fault.get());
        }
        if (item.isA("IFCPOLYLINE")
            || item.isA("IFCINDEXEDPOLYCURVE") && item.get("Segments") instanceof Value.Unset) {
          worst = Math.max(worst, offDrawn(curves.points(item)));
        }
      }
    }
    if (worst * metres > JUMP) {
      findings.add(
          Finding.error(
              RECEIVE,
              "alignment.drawn",
              name,
              String.format(
                  Locale.ROOT,
                  "%s: the line that is drawn for it lies up to %.4f m from its layout.",
                  name,
                  worst * metres)));
    }
  }

  private double offDrawn(double[] xyz) {
    double worst = 0;
    double length = own.length();
    double d = own.profile().map(p -> Math.max(0, p.start())).orElse(0.0);
    UnbrokenStretches whole = new UnbrokenStretches(own, JUMP / metres, ASIDE / metres);
    for (int i = 0; i < xyz.length; i += 3) {
      double step = i == 0 ? 0 : Math.hypot(xyz[i] - xyz[i - 3], xyz[i + 1] - xyz[i - 2]);
      d = whole.foot(xyz[i], xyz[i + 1], d + step, step + NEAR / metres, 0, length);
      worst = Math.max(worst, off(xyz, i, own.at(d)));
    }
    return worst;
  }

  private static double off(double[] xyz, int i, AlignmentPoint q) {
    double off = Math.hypot(xyz[i] - q.east(), xyz[i + 1] - q.north());
    boolean level = Double.isFinite(q.level()) && xyz[i + 2] != 0;
    return level ? Math.hypot(off, xyz[i + 2] - q.level()) : off;
  }

  private void jump(String where, double by) {
    findings.add(
        Finding.error(
                RECEIVE,
                "alignment.jump",
                name,
                String.format(
                    Locale.ROOT,
                    "%s has a jump: %s %.4f m from where the next one begins.",
                    name,
                    where,
                    by))
            .withFigure(Figure.of(by, 4, "m")));
  }
}
