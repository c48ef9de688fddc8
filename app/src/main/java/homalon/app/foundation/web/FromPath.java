package homalon.app.foundation.web;

import homalon.core.input.InPath;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.stereotype.Component;

/** The constant of an enumeration whose name in addresses was asked for. */
@Component
class FromPath implements ConverterFactory<String, InPath> {
    @Override
    public <T extends InPath> Converter<String, T> getConverter(Class<T> kind) {
        return path -> InPath.find(kind, path)
                .orElseThrow(() -> new NotHereException("There is no such page: go back to the bench."));
    }
}
