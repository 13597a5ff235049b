package wellspan.core.deliver;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.UUID;

/**
 * GlobalIds that stay the same in every later delivery: name-based UUIDs (RFC 9562, version 5) of
 * the job and a key, in the 22 characters of ISO 16739-1's IfcGloballyUniqueId.
 */
public record GlobalIds(UUID job) {
  private static final String ALPHABET =
      "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$";

  /**
   * @param key what the thing is, for instance the item's id
   * @param role which of the thing's parts, for instance {@code product} or {@code segment 3}
   */
  public String of(String key, String role) {
    return compress(nameBased(job, key + "\u0000" + role));
  }

  /** UUID version 5. */
  static UUID nameBased(UUID space, String name) {
    try {
      MessageDigest sha1 = MessageDigest.getInstance("SHA-1");
      for (long part :
          new long[] {space.getMostSignificantBits(), space.getLeastSignificantBits()}) {
        for (int shift = 56; shift >= 0; shift -= 8) {
          sha1.update((byte) (part >>> shift));
        }
      }
      byte[] h = sha1.digest(name.getBytes(StandardCharsets.UTF_8));
      h[6] = (byte) (h[6] & 0x0F | 0x50);
      h[8] = (byte) (h[8] & 0x3F | 0x80);
      long high = 0;
      long low = 0;
      for (int i = 0; i < 8; i++) {
        high = high << 8 | h[i] & 0xFF;
        low = low << 8 | h[i + 8] & 0xFF;
      }
      return new UUID(high, low);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-1", e);
    }
  }

  /** 128 bits in 22 characters: two bits in the first, six in each of the others. */
  static String compress(UUID id) {
    StringBuilder s = new StringBuilder(22);
    long high = id.getMostSignificantBits();
    long low = id.getLeastSignificantBits();
    for (int i = 21; i >= 0; i--) {
      int shift = 6 * i;
      long six;
      if (shift >= 64) {
        six = high >>> (shift - 64);
      } else if (shift > 58) {
        six = low >>> shift | high << (64 - shift);
      } else {
        six = low >>> shift;
      }
      s.append(ALPHABET.charAt((int) (six & 63)));
    }
    return s.toString();
  }
}
