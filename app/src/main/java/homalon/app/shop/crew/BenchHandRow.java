package homalon.app.shop.crew;

import homalon.core.bench.StationKind;
import homalon.core.hours.WeekHours;
import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/** Whether somebody works at the bench, where, and when. */
@Entity
@Table(name = "bench_hand")
final class BenchHandRow {
    @Id
    @Column(name = "person_id")
    UUID person;

    @Column(name = "at_bench")
    boolean atBench;

    /** Names of the kinds of stations, parted by blanks. */
    private String skills;

    /** None for the shop's hours. */
    @Embedded
    private WeekColumns week;

    BenchHandRow() {}

    BenchHandRow(UUID person, boolean atBench, Set<StationKind> skills, Optional<WeekHours> week) {
        this.person = person;
        this.atBench = atBench;
        this.skills = skills.stream().map(StationKind::name).sorted().collect(Collectors.joining(" "));
        this.week = week.map(WeekColumns::new).orElse(null);
    }

    Set<StationKind> skills() {
        Set<StationKind> all = EnumSet.noneOf(StationKind.class);
        Arrays.stream(skills.split(" "))
                .filter(s -> !s.isEmpty())
                .map(StationKind::valueOf)
                .forEach(all::add);
        return all;
    }

    Optional<WeekHours> week() {
        return Optional.ofNullable(week).map(WeekColumns::week);
    }
}
