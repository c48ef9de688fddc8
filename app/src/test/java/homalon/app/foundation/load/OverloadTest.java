package homalon.app.foundation.load;

import static org.assertj.core.api.Assertions.assertThat;

import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.Visitor;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** A shop that may work on one request at a time, and more people than it can answer. */
class OverloadTest {
    private static RunningShop.Shop shop;
    private static Visitor ines;
    private final ExecutorService many = Executors.newCachedThreadPool();

    @BeforeAll
    static void start() {
        shop = RunningShop.sample(
                OwnDatabase.sampled(), List.of("--homalon.load.at-once=1", "--homalon.load.waiting=3"));
        ines = Visitor.signedIn(shop.port(), "ines");
    }

    @AfterAll
    static void close() {
        shop.close();
    }

    @Test
    void whoFindsTheQueueFullIsToldWhenToAskAgainOnAPageOfOurs() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        List<Future<HttpResponse<String>>> asked = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            String how = i % 3 == 0 ? "X-Keying" : "Accept";
            asked.add(many.submit((Callable<HttpResponse<String>>) () -> {
                Visitor one = ines.another().through(how, value(how));
                go.await();
                return one.get("/parts/T-0407/report");
            }));
        }
        go.countDown();
        int answered = 0;
        int refused = 0;
        for (Future<HttpResponse<String>> one : asked) {
            HttpResponse<String> answer = one.get(60, TimeUnit.SECONDS);
            if (answer.statusCode() == 200) {
                answered++;
            } else {
                refused++;
                assertThat(answer.statusCode()).isEqualTo(503);
                assertThat(answer.headers().firstValue("Retry-After")).hasValue("5");
                assertThat(answer.body()).contains("The shop is busy");
                String type = answer.headers().firstValue("Content-Type").orElseThrow();
                assertThat(answer.body().contains("<h1>")).isEqualTo(type.startsWith("text/html"));
            }
        }
        assertThat(answered).isPositive();
        assertThat(refused).isPositive();
    }

    private static String value(String how) {
        return how.equals("Accept") ? "text/html" : "1";
    }

    @Test
    void formsThatNeverEndStopNobody() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 230; i++) {
                Socket socket = new Socket("127.0.0.1", shop.port());
                slow.add(socket);
                OutputStream out = socket.getOutputStream();
                out.write(("POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1:" + shop.port()
                                + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: 2000\r\n\r\nlogin=")
                        .getBytes(StandardCharsets.US_ASCII));
                out.flush();
            }
            for (int i = 0; i < 5; i++) {
                long start = System.nanoTime();
                assertThat(ines.get("/").statusCode()).isEqualTo(200);
                assertThat(ines.key(
                                        "/parts/T-0412/clean/did",
                                        "id",
                                        UUID.randomUUID().toString())
                                .statusCode())
                        .isLessThan(500);
                assertThat(System.nanoTime() - start).isLessThan(5_000_000_000L);
            }
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    @Test
    void picturesThatUnpackToHundredsOfMegabytesComeOneAfterTheOther() throws Exception {
        byte[] bomb = bomb();
        assertThat(bomb.length).isLessThan(500_000);
        List<Future<Integer>> sent = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            sent.add(many.submit(() -> ines.another()
                    .send("/parts/T-0412/photos?id=" + UUID.randomUUID(), bomb)
                    .statusCode()));
        }
        for (Future<Integer> one : sent) {
            assertThat(one.get(120, TimeUnit.SECONDS)).isEqualTo(200);
        }
        assertThat(ines.get("/").statusCode()).isEqualTo(200);
    }

    private static byte[] bomb() throws IOException {
        BufferedImage image = new BufferedImage(9000, 6500, BufferedImage.TYPE_BYTE_GRAY);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    @Test
    void aFormIsReadAsTheContainerReadsIt() {
        HttpResponse<String> odd = ines.raw("/sign-in", "application/x-www-form-urlencoded", "login=%zz&password=x");
        assertThat(odd.statusCode()).isEqualTo(400);
        assertThat(odd.body()).contains("could not be read");
        HttpResponse<String> large =
                ines.raw("/sign-in", "application/x-www-form-urlencoded", "login=" + "x".repeat(300_000));
        assertThat(large.statusCode()).isEqualTo(413);
    }
}
