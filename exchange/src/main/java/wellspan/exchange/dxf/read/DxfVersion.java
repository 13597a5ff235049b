package wellspan.exchange.dxf.read;

import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Locale;

/** What the header says of version and encoding. */
final class DxfVersion {
  private DxfVersion() {}

  /** The year of a version by its mark. */
  static String title(String mark) {
    return switch (mark) {
      case "AC1006" -> "R10";
      case "AC1009", "" -> "R12";
      case "AC1012" -> "R13";
      case "AC1014" -> "R14";
      case "AC1015" -> "2000";
      case "AC1018" -> "2004";
      case "AC1021" -> "2007";
      case "AC1024" -> "2010";
      case "AC1027" -> "2013";
      case "AC1032" -> "2018";
      default -> mark;
    };
  }

  /** Texts are UTF-8 from version 2007 on, before that in the code page of the header. */
  static Charset charset(String mark, String codePage) {
    if (mark.compareTo("AC1021") >= 0) {
      return StandardCharsets.UTF_8;
    }
    String page = codePage.toUpperCase(Locale.ROOT).replace("_", "");
    String number = page.replaceAll("\\D", "");
    String name =
        switch (page) {
          case "ANSI932" -> "windows-31j";
          case "ANSI936" -> "GBK";
          case "ANSI949" -> "x-windows-949";
          case "ANSI950" -> "Big5";
          default ->
              page.startsWith("ANSI")
                  ? "windows-" + number
                  : page.startsWith("DOS") ? "IBM" + number : "windows-1252";
        };
    try {
      return Charset.forName(name);
    } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
      return Charset.forName("windows-1252");
    }
  }
}
