package homalon.app.check.scan;

import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.words.Words;
import homalon.core.face.ScanFormat;
import homalon.core.face.ScanReader;
import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.ScanFile;
import homalon.core.visit.SurveyKind;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes scans in, keeps them as they came, and has them judged. */
@Service
public class Scans {
    private static final long MOST_BYTES = 200_000_000;

    private final ScanRepository scans;
    private final ScanTextRepository texts;
    private final ScanJudge judge;
    private final TransactionTemplate transaction;
    private final BigFiles files;
    private final Clock clock;
    private final Memory memory;

    private record Judging(UUID scan, LayoutNumbers numbers, List<FlatnessLimit> limits, ScanJudge.By by)
            implements Question<ScanJudge.Judged> {
        @Override
        public int kilobytes() {
            return 1024;
        }
    }

    Scans(
            ScanRepository scans,
            ScanTextRepository texts,
            ScanJudge judge,
            PlatformTransactionManager transactions,
            BigFiles files,
            Clock clock,
            Memory memory) {
        this.memory = memory;
        this.files = files;
        this.scans = scans;
        this.texts = texts;
        this.judge = judge;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /**
     * How a scan is to be taken in.
     *
     * @param id made by the browser
     * @param highIsMinus true when the file counts downwards
     */
    public record Taking(
            UUID id, SurveyKind kind, String name, ScanFormat format, boolean highIsMinus, Length uncertainty) {}

    @Transactional(readOnly = true)
    public List<ScanFile> of(PartFile part, SurveyKind kind) {
        return scans.findByJobIdAndKindOrderBySeqDesc(part.visit().id(), kind).stream()
                .map(Scans::file)
                .toList();
    }

    /**
     * Reads a scan as it streams in, judges it, and keeps it.
     *
     * @param said told what is being done
     * @throws BadInputException when it is no scan of this face
     */
    public void take(PartFile part, Taking taking, InputStream in, UUID by, Consumer<String> said) {
        part.requireHere("file", "to measure it");
        if (scans.existsById(taking.id())) {
            return;
        }
        String name = taking.name() == null ? "" : taking.name().strip();
        if (name.isEmpty() || name.length() > 200) {
            throw new BadInputException("name", "app.scan.give-the-scan-a-name-of-at-most-200");
        }
        if (taking.uncertainty().signum() < 0 || taking.uncertainty().mm() > 0.5) {
            throw new BadInputException("uncertainty", "app.scan.scanners-uncertainty-key-from-0-to-0-5");
        }
        try {
            files.take(in, MOST_BYTES, whole -> {
                read(part, taking, name, whole, by, said);
                return null;
            });
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("file", "app.scan.the-file-is-larger-than-200-mb-thin-it");
        } catch (IOException e) {
            throw new BadInputException("file", "app.scan.the-file-did-not-come-in-whole-send-it");
        }
    }

    private void read(PartFile part, Taking taking, String name, InputStream in, UUID by, Consumer<String> said) {
        ByteArrayOutputStream kept = new ByteArrayOutputStream(1 << 20);
        ScanReader.Read read;
        try (GZIPOutputStream gzip = new GZIPOutputStream(kept, 1 << 16) {
            {
                def.setLevel(Deflater.BEST_SPEED);
            }
        }) {
            read = ScanReader.read(copying(in, gzip), taking.format(), n -> said.accept(n / 1000 + " 000 points read"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        said.accept(read.points().size() + " points read, judging");
        ScanJudge.Judged judged =
                judge.first(part, taking.kind(), upright(read.points(), taking.highIsMinus()), taking.uncertainty());
        ScanRow row = new ScanRow();
        row.id = taking.id();
        row.jobId = part.visit().id();
        row.kind = taking.kind();
        row.name = name;
        row.uncertainty = taking.uncertainty().nanometres();
        row.read(taking.format());
        row.highIsMinus = taking.highIsMinus();
        row.points = read.points().size();
        row.notes = String.join("\n", Words.of(read.notes()));
        row.byPerson = by;
        row.at = clock.instant();
        said.accept("keeping it");
        transaction.executeWithoutResult(t -> {
            scans.saveAndFlush(row);
            texts.save(new ScanTextRow(row.id, kept.toByteArray()));
            judge.begin(part, taking.kind(), by);
        });
        memory.know(judging(part, taking.kind(), row.id), judged);
    }

    private static ScanReader.Source copying(InputStream in, GZIPOutputStream gzip) {
        return buffer -> {
            try {
                int n = in.read(buffer, 0, buffer.length);
                if (n > 0) {
                    gzip.write(buffer, 0, n);
                }
                return n;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        };
    }

    private static Points upright(Points points, boolean highIsMinus) {
        return highIsMinus
                ? Points.of(
                        points.xs(),
                        points.ys(),
                        Arrays.stream(points.zs()).map(z -> -z).toArray())
                : points;
    }

    private Judging judging(PartFile part, SurveyKind kind, UUID scan) {
        return new Judging(scan, part.numbers(), part.limits(), judge.by(part, kind));
    }

    /** What a scan says of its face; read again from what is kept when nothing is remembered of it. */
    public FaceFinding finding(PartFile part, ScanFile scan) {
        return judged(part, scan).finding();
    }

    /** What was done with the cloud, in sentences. */
    public List<String> notes(PartFile part, ScanFile scan) {
        return Stream.concat(scan.notes().stream(), judged(part, scan).notes().stream())
                .toList();
    }

    private ScanJudge.Judged judged(PartFile part, ScanFile scan) {
        return memory.answer(
                judging(part, scan.kind(), scan.id()),
                () -> files.alone(() -> judge.again(part, scan, upright(points(scan), scan.highIsMinus()))));
    }

    private Points points(ScanFile scan) {
        byte[] gzip = texts.findById(scan.id()).orElseThrow().gzip;
        try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(gzip), 1 << 16)) {
            return ScanReader.read(plain(in), scan.format(), n -> {}).points();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static ScanReader.Source plain(InputStream in) {
        return buffer -> {
            try {
                return in.read(buffer, 0, buffer.length);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        };
    }

    private static ScanFile file(ScanRow r) {
        return new ScanFile(
                r.id,
                r.kind,
                r.name,
                Length.ofNanometres(r.uncertainty),
                r.format(),
                r.highIsMinus,
                r.points,
                r.notes.isEmpty() ? List.of() : List.of(r.notes.split("\n")),
                r.byPerson,
                r.at);
    }

    public Optional<ScanFile> find(PartFile part, SurveyKind kind, UUID id) {
        return of(part, kind).stream().filter(s -> s.id().equals(id)).findFirst();
    }
}
