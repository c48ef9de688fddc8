package homalon.app.casting.part;

import homalon.app.foundation.settings.ShopSettings;
import homalon.core.rulebook.TagNumbers;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The tag that is hung on next, numbered as the shop numbers. */
@Component
@RequiredArgsConstructor
public class FreeTags {
    private final PartRepository parts;
    private final ShopSettings settings;

    @Transactional(readOnly = true)
    public String next() {
        TagNumbers tags = settings.history().now().tags();
        return tags.after(parts.highestNumber(tags.prefix()));
    }
}
