package wiselarder.server.answers;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;

/**
 * Daily figures in a small file: of each series its name, its largest value, and each day's step
 * from the day before in parts of 2^-33 of that largest value, so that what comes back is within
 * 6e-11 of it.
 */
final class KeptFigures {
  private static final double PARTS = 1L << 33;

  /** Stands for a day without a figure. */
  private static final long NONE = Long.MIN_VALUE >> 8;

  private KeptFigures() {}

  static byte[] write(Map<String, double[]> series) {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try (DataOutputStream out =
        new DataOutputStream(
            new DeflaterOutputStream(bytes, new Deflater(Deflater.BEST_COMPRESSION)))) {
      out.writeInt(series.size());
      for (Map.Entry<String, double[]> e : series.entrySet()) {
        double largest = largest(e.getValue());
        out.writeUTF(e.getKey());
        out.writeInt(e.getValue().length);
        out.writeDouble(largest);
        long before = 0;
        for (double v : e.getValue()) {
          long part = Double.isNaN(v) ? NONE : largest == 0 ? 0 : Math.round(v / largest * PARTS);
          varint(part - before, out);
          before = part;
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }

  static Map<String, double[]> read(byte[] bytes) {
    Map<String, double[]> series = new LinkedHashMap<>();
    try (DataInputStream in =
        new DataInputStream(new InflaterInputStream(new ByteArrayInputStream(bytes)))) {
      int count = in.readInt();
      for (int i = 0; i < count; i++) {
        String name = in.readUTF();
        double[] values = new double[in.readInt()];
        double largest = in.readDouble();
        long part = 0;
        for (int d = 0; d < values.length; d++) {
          part += varint(in);
          values[d] = part == NONE ? Double.NaN : part / PARTS * largest;
        }
        series.put(name, values);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return series;
  }

  static double largest(double[] values) {
    double largest = 0;
    for (double v : values) {
      largest = Double.isNaN(v) ? largest : Math.max(largest, Math.abs(v));
    }
    return largest;
  }

  private static void varint(long value, DataOutputStream out) throws IOException {
    long zigzag = (value << 1) ^ (value >> 63);
    while ((zigzag & ~0x7FL) != 0) {
      out.writeByte((int) (zigzag & 0x7F | 0x80));
      zigzag >>>= 7;
    }
    out.writeByte((int) zigzag);
  }

  private static long varint(DataInputStream in) throws IOException {
    long zigzag = 0;
    for (int shift = 0; ; shift += 7) {
      int b = in.readUnsignedByte();
      zigzag |= (long) (b & 0x7F) << shift;
      if (b < 0x80) {
        return (zigzag >>> 1) ^ -(zigzag & 1);
      }
    }
  }
}
