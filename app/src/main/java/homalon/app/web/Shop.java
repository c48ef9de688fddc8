package homalon.app.web;

import homalon.core.input.BadInputException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's own name, shown on every page and report. */
@Service
public class Shop {
    private final JdbcClient jdbc;

    Shop(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Transactional(readOnly = true)
    public String name() {
        return jdbc.sql("select name from shop where id = 1")
                .query(String.class)
                .optional()
                .orElse("Homalon");
    }

    @Transactional
    public void rename(String name) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("shop", "Shop: key its name as it stands on the door, at most 80 letters.");
        }
        jdbc.sql("insert into shop (id, name) values (1, ?) on conflict (id) do update set name = excluded.name")
                .param(tidy)
                .update();
    }
}
