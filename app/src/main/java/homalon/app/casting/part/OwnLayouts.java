package homalon.app.casting.part;

import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Layouts that this shop has a name for, each with the casting that it is drawn as. */
@Service
@Transactional
@RequiredArgsConstructor
public class OwnLayouts {
    private final OwnLayoutRepository layouts;
    private final Parts parts;
    private final Clock clock;

    @Transactional(readOnly = true)
    public List<String> names() {
        return layouts.findAllByOrderByName().stream().map(l -> l.name).toList();
    }

    /** The casting that a name stands for, however its letters are keyed. */
    @Transactional(readOnly = true)
    public Optional<PartFile> named(String name) {
        return layouts.findById(key(name)).flatMap(l -> parts.byId(l.partId));
    }

    /**
     * A name that is there already stands for this casting from now on.
     *
     * @throws BadInputException for a name that cannot be told from a tag, or none
     */
    public void name(PartFile part, String name, UUID by) {
        String tidy = name.strip().replaceAll("\\s+", " ");
        if (tidy.isEmpty() || tidy.length() > 60 || parts.find(tidy).isPresent()) {
            throw new BadInputException("layout", "app.part.name-of-the-layout-key-up-to-60");
        }
        OwnLayout layout = layouts.findById(key(tidy)).orElseGet(() -> new OwnLayout(key(tidy)));
        layout.name = tidy;
        layout.partId = part.id();
        layout.keptBy = by;
        layout.keptAt = clock.instant();
        layouts.save(layout);
    }

    private static String key(String name) {
        return name.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }
}
