package wellspan.bench;

import java.awt.AWTException;
import java.awt.Rectangle;
import java.awt.Robot;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Time from a command to its first picture, as somebody before the screen sees it: {@code
 * FirstPicture PERCENT RUNS COMMAND…} starts the command so many times, looks at the middle of the
 * screen until so much of it is not of the commonest colour, ends it, and prints each time in
 * milliseconds. Where there is only paper with lines and letters, nine tenths are of one colour;
 * where ground is shaded, one tenth. Needs a display of its own.
 */
public final class FirstPicture {
  private static final int PATIENCE = 120_000;
  private static final int PAUSE = 15;

  private FirstPicture() {}

  public static void main(String[] args) throws Exception {
    double share = Double.parseDouble(args[0]) / 100;
    int runs = Integer.parseInt(args[1]);
    List<String> command = Arrays.asList(args).subList(2, args.length);
    for (int i = 0; i < runs; i++) {
      System.out.println(milliseconds(command, share));
    }
  }

  private static long milliseconds(List<String> command, double share)
      throws IOException, InterruptedException, AWTException {
    Robot robot = new Robot();
    while (drawn(robot) > 0) { // what was there before is gone
      Thread.sleep(PAUSE);
    }
    long began = System.nanoTime();
    Process p =
        new ProcessBuilder(command)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .redirectError(ProcessBuilder.Redirect.DISCARD)
            .start();
    try {
      while (drawn(robot) < share) {
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

  /**
   * The share of the middle of the screen, where the plan is, that is not of the commonest colour.
   */
  private static double drawn(Robot robot) {
    BufferedImage shot = robot.createScreenCapture(new Rectangle(400, 200, 400, 250));
    Map<Integer, Integer> counts = new HashMap<>();
    int all = 0;
    for (int y = 0; y < shot.getHeight(); y += 3) {
      for (int x = 0; x < shot.getWidth(); x += 3) {
        counts.merge(shot.getRGB(x, y), 1, Integer::sum);
        all++;
      }
    }
    return 1 - (double) Collections.max(counts.values()) / all;
  }
}
