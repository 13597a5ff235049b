package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import wellspan.core.job.AtomicFile;
import wellspan.core.typical.Course;
import wellspan.core.typical.Strip;
import wellspan.core.typical.StripUse;
import wellspan.core.typical.TypicalSection;
import wellspan.core.typical.TypicalSectionJson;

/** The typical section in hand, from which a road is made. Window's thread. */
public final class SectionDesk {
  private final Session session;
  private final ReadOnlyObjectWrapper<TypicalSection> section =
      new ReadOnlyObjectWrapper<>(TypicalSection.FIRST);
  private final BooleanProperty open = new SimpleBooleanProperty();

  SectionDesk(Session session) {
    this.session = session;
  }

  public ReadOnlyObjectProperty<TypicalSection> sectionProperty() {
    return section.getReadOnlyProperty();
  }

  public TypicalSection section() {
    return section.get();
  }

  /** Whether its drawing stands on the stage. */
  public BooleanProperty openProperty() {
    return open;
  }

  /** Changes it; what cannot be is said and changes nothing. */
  public void change(UnaryOperator<TypicalSection> how) {
    try {
      section.set(how.apply(section.get()));
      session.say("");
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }

  /** Changes one strip; {@code -1} is the left side. */
  public void changeStrip(int side, int number, UnaryOperator<Strip> how) {
    change(
        s -> {
          List<Strip> strips = new ArrayList<>(s.side(side));
          strips.set(number, how.apply(strips.get(number)));
          return s.with(side, strips);
        });
  }

  /** Puts a strip on the outside of another one; of the axis for {@code -1}. */
  public void addStrip(int side, int behind) {
    change(
        s -> {
          List<Strip> strips = new ArrayList<>(s.side(side));
          boolean paved = behind + 1 == 0;
          strips.add(
              behind + 1,
              paved
                  ? new Strip(StripUse.LANE, 3, 2.5, 0, 0, "")
                  : new Strip(StripUse.VERGE, 1, 4, 0, 0.15, "topsoil"));
          return s.with(side, strips);
        });
  }

  /** Puts a ditch on the outside of a side: a slope down, a bottom and a slope up. */
  public void addDitch(int side) {
    change(
        s -> {
          List<Strip> strips = new ArrayList<>(s.side(side));
          strips.add(new Strip(StripUse.DITCH, 0.75, 66.7, 0, 0.15, "topsoil"));
          strips.add(new Strip(StripUse.DITCH, 0.4, 0, 0, 0.15, "topsoil"));
          strips.add(new Strip(StripUse.DITCH, 0.75, -66.7, 0, 0.15, "topsoil"));
          return s.with(side, strips);
        });
  }

  public void removeStrip(int side, int number) {
    change(
        s -> {
          List<Strip> strips = new ArrayList<>(s.side(side));
          strips.remove(number);
          return s.with(side, strips);
        });
  }

  public void changeCourse(int number, UnaryOperator<Course> how) {
    change(
        s -> {
          List<Course> courses = new ArrayList<>(s.courses());
          courses.set(number, how.apply(courses.get(number)));
          return s.withCourses(courses);
        });
  }

  /** Puts a course under all others. */
  public void addCourse() {
    change(
        s -> {
          List<Course> courses = new ArrayList<>(s.courses());
          courses.add(new Course("Course " + (courses.size() + 1), "crushed stone", 0.2, 0.3));
          return s.withCourses(courses);
        });
  }

  public void removeCourse(int number) {
    change(
        s -> {
          List<Course> courses = new ArrayList<>(s.courses());
          courses.remove(number);
          return s.withCourses(courses);
        });
  }

  /** Takes one from a file. */
  public void read(Path file) {
    try {
      TypicalSection read = TypicalSectionJson.read(Files.readString(file));
      section.set(read);
      session.say(read.name() + " is in hand.");
    } catch (IOException | IllegalArgumentException e) {
      session.complain(file.getFileName() + ", " + e.getMessage());
    }
  }

  /** Keeps it as a file, to be used in other jobs. */
  public void write(Path file) {
    try {
      AtomicFile.write(file, TypicalSectionJson.write(section.get()));
      session.say("The typical section is in " + file + ".");
    } catch (IOException e) {
      session.complain("The typical section could not be written: " + e.getMessage());
    }
  }
}
