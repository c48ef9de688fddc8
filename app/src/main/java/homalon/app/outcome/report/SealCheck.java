package homalon.app.outcome.report;

import homalon.app.foundation.load.Sha256;
import homalon.core.visit.PartFile;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Says whether a seal, the papers and the tables still agree. */
@Component
@RequiredArgsConstructor
public class SealCheck {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Releases releases;
    private final SealedPapers papers;
    private final SealedRecord records;
    private final ShopKey key;

    /**
     * What was found about one visit.
     *
     * @param wrong sentences, one for each thing that does not agree; empty when all does
     * @param signature in words; empty where nothing was signed
     * @param erased when the customer's name went from the papers
     */
    public record Found(
            Releases.Release release, List<String> wrong, Optional<String> signature, Optional<Instant> erased) {
        public boolean agrees() {
            return wrong.isEmpty();
        }
    }

    List<Found> of(PartFile part) {
        List<Found> all = new ArrayList<>();
        Optional<String> before = Optional.empty();
        for (Releases.Release r : releases.ofCasting(part)) {
            all.add(found(r, before));
            before = Optional.of(r.digest());
        }
        return all;
    }

    private Found found(Releases.Release r, Optional<String> before) {
        List<String> wrong = new ArrayList<>();
        if (!Sha256.of(r.seal()).equals(r.digest())) {
            wrong.add("The sealed record was changed: its digest is another one.");
        }
        if (!r.previous().equals(before)) {
            wrong.add("It does not hold the digest of the visit before: a visit was put in, taken out or sealed anew.");
        }
        differences(r, wrong);
        Optional<String> signature = r.signature().map(s -> {
            Optional<Boolean> good =
                    key.verifies(r.keyId().orElse(""), Releases.signed(r.digest(), papers.sums(r.visit())), s);
            if (good.filter(g -> !g).isPresent()) {
                wrong.add("The shop's signature does not stand under this record and these papers.");
            }
            return good.map(g -> g ? "signed with the shop's key " + r.keyId().orElse("") : "signature is wrong")
                    .orElse("signed with the key " + r.keyId().orElse("") + ", which is not at hand here");
        });
        return new Found(r, wrong, signature, papers.erasedAt(r.visit()));
    }

    /** Lines of the seal that the tables tell otherwise, and lines of the tables that the seal does not know. */
    private void differences(Releases.Release r, List<String> wrong) {
        Map<String, JsonNode> now = new HashMap<>();
        for (VisitEvidence e : records.evidence(r.visit())) {
            now.put(e.kind + " " + e.seq, JSON.readTree(e.json));
        }
        Set<String> told = new HashSet<>();
        for (JsonNode sealed : JSON.readTree(r.seal()).path("evidence")) {
            String name =
                    sealed.get("kind").asString() + " " + sealed.get("seq").asLong();
            told.add(name);
            JsonNode there = now.get(name);
            if (there == null) {
                wrong.add("A line is gone from the tables: " + name + ".");
            } else if (!same(sealed.get("line"), there)) {
                wrong.add("A line reads otherwise in the tables: " + name + ".");
            }
        }
        now.keySet().stream()
                .filter(n -> !told.contains(n))
                .sorted()
                .forEach(n -> wrong.add("A line came after the seal: " + n + "."));
    }

    /** A later version may have added a column: what the seal tells must be so. */
    private static boolean same(JsonNode sealed, JsonNode there) {
        ObjectNode asked = JSON.createObjectNode();
        sealed.propertyNames().forEach(n -> asked.set(n, there.path(n)));
        return Arrays.equals(Canonical.of(sealed.toString()), Canonical.of(asked.toString()));
    }

    /**
     * Whether a file is one that was handed over with the casting.
     *
     * @return a sentence
     */
    String paper(PartFile part, byte[] file) {
        String sum = Sha256.of(file);
        for (Releases.Release r : releases.ofCasting(part)) {
            if (r.digest().equals(sum)) {
                return "This is the sealed record of visit " + r.no() + ", unchanged.";
            }
            if (papers.sums(r.visit()).stream().anyMatch(s -> s.endsWith(" " + sum))) {
                return "This is the report that was handed over with visit " + r.no() + ", unchanged.";
            }
        }
        return "This file is none that was handed over with " + part.tag()
                + ": it was changed, or belongs to another casting.";
    }

    /**
     * Which of all that was handed over a file is.
     *
     * @param sum its SHA-256
     * @return a sentence; empty when it is none of them
     */
    Optional<String> ofSum(String sum) {
        return releases.withSum(sum)
                .map(r -> "This was handed over with " + r.tag() + ", visit " + r.no() + ", unchanged.");
    }
}
