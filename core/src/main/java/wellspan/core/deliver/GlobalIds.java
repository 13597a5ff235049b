package wellspan.core.deliver;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.UUID;

/**
 * GlobalIds that stay the same in every later delivery: name-based UUIDs (RFC 9562, version 5) of
 * the job and a key, in the 22 characters of ISO 16739-1's IfcGloballyUniqueId.
 */
public record GlobalIds(UUID job) {
  /** To look one up takes longer than to use it, and a model has hundreds of thousands of ids. */
  private static final ThreadLocal<MessageDigest> SHA1 = ThreadLocal.withInitial(GlobalIds::sha1);

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
    byte[] text = name.getBytes(StandardCharsets.UTF_8);
    ByteBuffer all = ByteBuffer.allocate(2 * Long.BYTES + text.length);
    all.putLong(space.getMostSignificantBits()).putLong(space.getLeastSignificantBits()).put(text);
    ByteBuffer hash = ByteBuffer.wrap(SHA1.get().digest(all.array()));
    return new UUID(
        hash.getLong() & ~0xF000L | 0x5000L, hash.getLong() & ~(0b11L << 62) | 0b10L << 62);
  }

  private static MessageDigest sha1() {
    try {
      return MessageDigest.getInstance("SHA-1");
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-1", e);
    }
  }

  /** 128 bits in 22 characters: two bits in the first, six in each of the others. */
  static String compress(UUID id) {
    byte[] s = new byte[22];
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
      s[21 - i] = (byte) ALPHABET.charAt((int) (six & 63));
    }
    return new String(s, StandardCharsets.US_ASCII);
  }
}
