package wellspan.bench;

import java.awt.AWTException;
import java.awt.Rectangle;
import java.awt.Robot;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Time from a command to its first picture, as somebody before the screen sees it: {@code
 * FirstPicture COLOURS RUNS COMMAND…} starts the command so many times, looks at the middle of the
 * screen until it shows as many colours, ends it, and prints each time in milliseconds. Needs a
 * display of its own.
 */
public final class FirstPicture {
  private static final int PATIENCE = 120_000;
  private static final int PAUSE = 15;

  private FirstPicture() {}

  public static void main(String[] args) throws Exception {
    int colours = Integer.parseInt(args[0]);
    int runs = Integer.parseInt(args[1]);
    List<String> command = Arrays.asList(args).subList(2, args.length);
    for (int i = 0; i < runs; i++) {
      System.out.println(milliseconds(command, colours));
    }
  }

  private static long milliseconds(List<String> command, int colours)
      throws IOException, InterruptedException, AWTException {
    Robot robot = new Robot();
    while (seen(robot) > 2) { // what was there before is gone
      Thread.sleep(PAUSE);
    }
    long began = System.nanoTime();
    Process p =
        new ProcessBuilder(command)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      while (seen(robot) < colours) {
        Thread.sleep(PAUSE);
        if ((System.nanoTime() - began) / 1_000_000 > PATIENCE || !p.isAlive()) {
          throw new IOException("There is no picture.");
        }
      }
      return (System.nanoTime() - began) / 1_000_000;
    } finally {
      p.destroy(); // orderly, so that a first run leaves its cache
      p.waitFor();
    }
  }

  /** Colours in the middle of the screen, where the plan is. */
  private static int seen(Robot robot) {
    BufferedImage shot = robot.createScreenCapture(new Rectangle(400, 200, 400, 250));
    Set<Integer> out = new HashSet<>();
    for (int y = 0; y < shot.getHeight(); y += 3) {
      for (int x = 0; x < shot.getWidth(); x += 3) {
        out.add(shot.getRGB(x, y));
      }
    }
    return out.size();
  }
}
