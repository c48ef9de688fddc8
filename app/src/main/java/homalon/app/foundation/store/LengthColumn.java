package homalon.app.foundation.store;

import homalon.core.quantity.Length;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;

/** Lengths in columns: whole nanometres. */
@Converter(autoApply = true)
public class LengthColumn implements AttributeConverter<Length, Long> {
    @Override
    public Long convertToDatabaseColumn(Length length) {
        return length == null ? null : length.nanometres();
    }

    @Override
    public Length convertToEntityAttribute(Long nanometres) {
        return nanometres == null ? null : Length.ofNanometres(nanometres);
    }
}
