package homalon.app.foundation.load;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;

/**
 * A photo decoded and encoded anew: only its pixels are kept, upright, no more on the longer side than asked for. What the file
 * calls itself does not matter; what is no JPEG or PNG inside is refused, and its size is asked before a pixel is decoded.
 */
public record Picture(byte[] jpeg, int width, int height) {
    /** Bytes that may be sent. */
    public static final int MOST = 10_000_000;

    private static final long PIXELS = 60_000_000L;
    /** On the longer side of a photo, px. */
    private static final int LONGEST = 2000;

    private static final String NOT = "That is no photo that can be kept: send a JPEG or PNG of at most 10 MB.";

    /** @throws BadInputException for anything but a photo of sensible size */
    public static Picture of(byte[] sent) {
        return of(sent, LONGEST);
    }

    /** @param longest on the longer side, px */
    public static Picture of(byte[] sent, int longest) {
        if (sent.length == 0 || sent.length > MOST) {
            throw new BadInputException("photo", Message.plain(NOT));
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null
                    || !reader.getFormatName().toLowerCase(Locale.ROOT).matches("jpeg|png")) {
                throw new BadInputException("photo", Message.plain(NOT));
            }
            try {
                return read(reader, in, sent, longest);
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            if (e instanceof BadInputException said) {
                throw said;
            }
            // Decoders throw all sorts of things at files that are broken on purpose.
            throw new BadInputException("photo", Message.plain(NOT));
        }
    }

    private static Picture read(ImageReader reader, ImageInputStream in, byte[] sent, int longest) throws IOException {
        reader.setInput(in, true, true);
        int w = reader.getWidth(0);
        int h = reader.getHeight(0);
        if (w < 1 || h < 1 || (long) w * h > PIXELS) {
            throw new BadInputException("photo", "app.integrity.that-photo-has-too-many-pixels-send-one");
        }
        // As coarse as it is needed: sixty megapixels at once would take all the memory that there is.
        int every = Math.max(1, (int) Math.ceil(Math.max(w, h) / (double) (2 * longest)));
        ImageReadParam param = reader.getDefaultReadParam();
        param.setSourceSubsampling(every, every, 0, 0);
        BufferedImage image = reader.read(0, param);
        BufferedImage upright = Thumbnails.of(image)
                .scale(Math.min(1, (double) longest / Math.max(image.getWidth(), image.getHeight())))
                .imageType(BufferedImage.TYPE_INT_ARGB)
                .rotate(held(sent))
                .addFilter(Picture::onWhite)
                .asBufferedImage();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Thumbnails.of(upright)
                .scale(1)
                .imageType(BufferedImage.TYPE_INT_RGB)
                .outputFormat("jpg")
                .outputQuality(0.85)
                .toOutputStream(out);
        return new Picture(out.toByteArray(), upright.getWidth(), upright.getHeight());
    }

    private static BufferedImage onWhite(BufferedImage image) {
        BufferedImage out = new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        g.drawImage(image, 0, 0, Color.WHITE, null);
        g.dispose();
        return out;
    }

    /** How far it is turned to stand upright, degrees, by what the camera noted; 0 where it noted nothing. */
    private static int held(byte[] sent) {
        try {
            Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer orientation = exif == null ? null : exif.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            return orientation == null
                    ? 0
                    : switch (orientation) {
                        case 3 -> 180;
                        case 6 -> 90;
                        case 8 -> 270;
                        default -> 0;
                    };
        } catch (ImageProcessingException | IOException e) {
            return 0;
        }
    }
}
