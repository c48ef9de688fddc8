package homalon.app.foundation.words;

import homalon.core.words.Message;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** Messages in the expressions of a page, {@code ${{…}}}. */
@Component
class InWords implements Converter<Message, String> {
    @Override
    public String convert(Message message) {
        return Words.of(message);
    }
}
