package homalon.app.foundation.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.Parts;
import homalon.app.outcome.bench.Backups;
import homalon.app.testing.OwnDatabase;
import homalon.app.testing.RunningShop;
import homalon.app.testing.RunningShop.Shop;
import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.hibernate.engine.spi.SessionFactoryImplementor;
import org.hibernate.metamodel.spi.MappingMetamodelImplementor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What the tables hold is reached through Hibernate, all of it. */
@ExtendWith(RunningShop.class)
class TablesTest {
    private final Shop shop;

    TablesTest(Shop shop) {
        this.shop = shop;
    }

    /** Of Spring Session and of Flyway are no tables of ours. */
    @Test
    void everyOwnTableIsMapped() {
        MappingMetamodelImplementor mapped = shop.bean(EntityManagerFactory.class)
                .unwrap(SessionFactoryImplementor.class)
                .getMappingMetamodel();
        Set<String> unmapped = new TreeSet<>(
                shop.bean(JdbcClient.class).sql("""
                        select table_name from information_schema.tables where table_schema = 'public'
                        and table_name not like 'spring\\_session%' and table_name <> 'flyway_schema_history'
                        """).query(String.class).list());
        mapped.forEachEntityDescriptor(
                e -> unmapped.remove(e.getMappedTableDetails().getTableName()));
        mapped.forEachCollectionDescriptor(
                c -> unmapped.remove(c.getAttributeMapping().getSeparateCollectionTable()));
        assertEquals(Set.of(), unmapped);
    }

    /** A column that is named wrongly, or a kind that the entity does not know, is found here and not in a shop. */
    @Test
    void everyEntityCanBeRead() {
        EntityManagerFactory factory = shop.bean(EntityManagerFactory.class);
        try (EntityManager entities = factory.createEntityManager()) {
            Set<String> filled = factory.getMetamodel().getEntities().stream()
                    .filter(e -> !entities.createQuery("from " + e.getName(), e.getJavaType())
                            .setMaxResults(500)
                            .getResultList()
                            .isEmpty())
                    .map(e -> e.getName())
                    .collect(Collectors.toSet());
            assertTrue(filled.size() > 30, "sample data fill most tables: " + filled);
        }
    }

    /** What the command writes of a backup, and the first casting, are what the owner is told by. */
    @Test
    void backupsAndTheFirstCastingAreFound() {
        assertTrue(shop.bean(Parts.class).firstOpened().orElseThrow().isBefore(Instant.now()));
        String database = OwnDatabase.made();
        OwnDatabase.upgrade(OwnDatabase.url(database));
        try (Shop empty = RunningShop.onFirstDay(OwnDatabase.url(database), "--homalon.backups-wanted=true")) {
            assertEquals(Optional.empty(), empty.bean(Parts.class).firstOpened());
            assertEquals(Optional.empty(), empty.bean(Backups.class).warning());
            OwnDatabase.asAdmin(
                    database,
                    "insert into backup_made (made_at, file) values (now() - interval '9 days', 'old'), "
                            + "(now() - interval '5 days 1 hour', 'new'), (now() - interval '7 days', 'between')");
            assertTrue(empty.bean(Backups.class).warning().orElseThrow().contains("5 days old"));
        } finally {
            OwnDatabase.gone(database);
        }
    }
}
