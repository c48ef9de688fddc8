package homalon.app.casting.paper;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** A QR code as SVG: quiet zone of four modules, a quarter of it may be oily. */
final class Qr {
    private Qr() {}

    static String svg(String text) {
        try {
            BitMatrix m = new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.Q, EncodeHintType.MARGIN, 4));
            StringBuilder d = new StringBuilder();
            for (int y = 0; y < m.getHeight(); y++) {
                for (int x = 0; x < m.getWidth(); x++) {
                    if (m.get(x, y)) {
                        d.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return "<svg class=\"qr\" role=\"img\" aria-label=\"Code that opens this part\" xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 "
                    + m.getWidth() + " " + m.getHeight()
                    + "\"><rect width=\"100%\" height=\"100%\" class=\"qr-paper\"/><path class=\"qr-ink\" d=\"" + d
                    + "\"/></svg>";
        } catch (WriterException e) {
            throw new IllegalStateException("an address of this shop always fits into a code", e);
        }
    }
}
