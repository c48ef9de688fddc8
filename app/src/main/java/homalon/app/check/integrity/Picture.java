package homalon.app.check.integrity;

import homalon.core.input.BadInputException;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.stream.ImageInputStream;

/**
 * A photo decoded and encoded anew: only its pixels are kept, upright, at most {@value #LONGEST} on the longer side. What the file
 * calls itself does not matter; what is no JPEG or PNG inside is refused, and its size is asked before a pixel is decoded.
 */
record Picture(byte[] jpeg, int width, int height) {
    /** Bytes that may be sent. */
    static final int MOST = 10_000_000;

    private static final long PIXELS = 60_000_000L;
    private static final int LONGEST = 2000;
    private static final String NOT = "That is no photo that can be kept: send a JPEG or PNG of at most 10 MB.";

    /** @throws BadInputException for anything but a photo of sensible size */
    static Picture of(byte[] sent) {
        if (sent.length == 0 || sent.length > MOST) {
            throw new BadInputException("photo", NOT);
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null
                    || !reader.getFormatName().toLowerCase(Locale.ROOT).matches("jpeg|png")) {
                throw new BadInputException("photo", NOT);
            }
            try {
                return read(reader, in, sent);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            if (e instanceof BadInputException said) {
                throw said;
            }
            // Decoders throw all sorts of things at files that are broken on purpose.
            throw new BadInputException("photo", NOT);
        }
    }

    private static Picture read(ImageReader reader, ImageInputStream in, byte[] sent) throws IOException {
        reader.setInput(in, true, true);
        int w = reader.getWidth(0);
        int h = reader.getHeight(0);
        if (w < 1 || h < 1 || (long) w * h > PIXELS) {
            throw new BadInputException(
                    "photo", "That photo has too many pixels: send one of at most 60 megapixels, as a phone takes.");
        }
        int every = Math.max(1, (int) Math.ceil(Math.max(w, h) / (double) (2 * LONGEST)));
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(every, every, 0, 0);
        BufferedImage image = reader.read(0, param);
        BufferedImage upright = upright(image, jpeg(sent) ? held(sent) : 1);
        return new Picture(encoded(upright), upright.getWidth(), upright.getHeight());
    }

    private static boolean jpeg(byte[] sent) {
        return (sent[0] & 0xff) == 0xff && (sent[1] & 0xff) == 0xd8;
    }

    /** Scaled to what is kept and turned as the camera was held, on white. */
    private static BufferedImage upright(BufferedImage image, int orientation) {
        double scale = Math.min(1, (double) LONGEST / Math.max(image.getWidth(), image.getHeight()));
        int w = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int h = Math.max(1, (int) Math.round(image.getHeight() * scale));
        boolean turned = orientation == 6 || orientation == 8;
        BufferedImage out = new BufferedImage(turned ? h : w, turned ? w : h, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.setColor(java.awt.Color.WHITE);
        g.fillRect(0, 0, out.getWidth(), out.getHeight());
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        AffineTransform turn = new AffineTransform();
        if (orientation == 6) {
            turn.translate(h, 0);
            turn.rotate(Math.PI / 2);
        } else if (orientation == 8) {
            turn.translate(0, w);
            turn.rotate(-Math.PI / 2);
        } else if (orientation == 3) {
            turn.translate(w, h);
            turn.rotate(Math.PI);
        }
        turn.scale((double) w / image.getWidth(), (double) h / image.getHeight());
        g.drawImage(image, turn, null);
        g.dispose();
        return out;
    }

    private static byte[] encoded(BufferedImage image) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (var stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam param = writer.getDefaultWriteParam();
            param.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            param.setCompressionQuality(0.85f);
            writer.setOutput(stream);
            IIOMetadata none = writer.getDefaultImageMetadata(new ImageTypeSpecifier(image), param);
            writer.write(none, new IIOImage(image, null, none), param);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** How the camera was held, by the EXIF tag 0x0112: 1 upright, 3 upside down, 6 and 8 on its sides; 1 where nothing says. */
    private static int held(byte[] jpeg) {
        int at = 2;
        while (at + 4 <= jpeg.length && (jpeg[at] & 0xff) == 0xff && (jpeg[at + 1] & 0xff) != 0xda) {
            int length = (int) number(jpeg, at + 2, 2, false);
            if ((jpeg[at + 1] & 0xff) == 0xe1 && at + 2 + length <= jpeg.length) {
                return orientation(Arrays.copyOfRange(jpeg, at + 4, at + 2 + length));
            }
            at += 2 + Math.max(2, length);
        }
        return 1;
    }

    private static int orientation(byte[] exif) {
        if (exif.length < 16 || exif[0] != 'E' || exif[1] != 'x') {
            return 1;
        }
        boolean little = exif[6] == 'I';
        int directory = 6 + (int) number(exif, 10, 4, little);
        int entries = directory > 0 && directory + 2 <= exif.length ? (int) number(exif, directory, 2, little) : 0;
        for (int i = 0; i < entries; i++) {
            int at = directory + 2 + 12 * i;
            if (at + 12 > exif.length) {
                return 1;
            }
            if (number(exif, at, 2, little) == 0x0112) {
                return (int) number(exif, at + 8, 2, little);
            }
        }
        return 1;
    }

    private static long number(byte[] b, int at, int bytes, boolean little) {
        long n = 0;
        for (int i = 0; i < bytes; i++) {
            n = n << 8 | (b[little ? at + bytes - 1 - i : at + i] & 0xff);
        }
        return n;
    }
}
