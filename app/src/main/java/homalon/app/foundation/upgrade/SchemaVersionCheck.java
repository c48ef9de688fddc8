package homalon.app.foundation.upgrade;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lombok.RequiredArgsConstructor;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Refuses to serve on tables of another version: they would be misread. */
@Component
@RequiredArgsConstructor
class SchemaVersionCheck implements InitializingBean {
    private static final Pattern NAME = Pattern.compile("V([0-9]+)__.*\\.sql");

    private final JdbcClient jdbc;

    @Override
    public void afterPropertiesSet() {
        MigrationVersion theirs = jdbc
                .sql("select version from flyway_schema_history where success and version is not null")
                .query(String.class)
                .list()
                .stream()
                .map(MigrationVersion::fromVersion)
                .max(MigrationVersion::compareTo)
                .orElse(MigrationVersion.EMPTY);
        if (!theirs.equals(ours())) {
            throw new IllegalStateException("The tables have version " + theirs + ", this program needs " + ours()
                    + ": start it with the homalon command, which brings them to it.");
        }
    }

    static MigrationVersion ours() {
        try {
            return Arrays.stream(
                            new PathMatchingResourcePatternResolver().getResources("classpath:db/migration/V*.sql"))
                    .map(r -> NAME.matcher(String.valueOf(r.getFilename())))
                    .filter(Matcher::matches)
                    .map(m -> MigrationVersion.fromVersion(m.group(1)))
                    .max(MigrationVersion::compareTo)
                    .orElseThrow();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
