package homalon.app.outcome.api;

import homalon.app.casting.part.FreeTags;
import homalon.app.casting.part.OwnLayouts;
import homalon.app.casting.part.Parts;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.readings.Walks;
import homalon.app.foundation.opened.ToPrograms;
import homalon.app.foundation.opened.ToWritingPrograms;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.CurrentUser;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Keyed;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.CastingLine;
import homalon.core.visit.IntakeForm;
import homalon.core.visit.PartFile;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Bookings and readings from other programs: by the rules of the pages, under ids that the program makes, so that what is sent once more
 * after its answer was lost is kept once.
 */
@RestController
@RequestMapping(path = "/api/v1/parts", produces = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "Bookings and readings")
@ApiResponse(responseCode = "403", description = "The token reads only, or the person it writes for may not do this")
@ApiResponse(responseCode = "400", description = "Cannot be, with problem details that say what to send instead")
@RequiredArgsConstructor
class WritingApi {
    private final Parts parts;
    private final FreeTags tags;
    private final OwnLayouts layouts;
    private final Walks walks;
    private final ShopSettings settings;
    private final Clock clock;

    @Schema(
            name = "Booking",
            description =
                    "id: made by the program. Sizes carry a unit (96 mm, 3.78 in); a bare one is mm. like: tag of a casting or "
                            + "name of a layout that fills what is left out")
    record BookingIn(
            @NotNull UUID id,
            @Nullable @Size(max = 20) String tag,
            @NotNull @Size(max = 120) String engine,
            @NotNull @Size(max = 120) String customer,
            @Nullable String like,
            @Nullable String kind,
            @Nullable String metal,
            @Nullable String castingNumber,
            @Nullable String stamps,
            @Nullable String cylinders,
            @Nullable String bore,
            @Nullable String spacing,
            @Nullable String length,
            @Nullable String width,
            @Nullable LocalDate due,
            @Nullable String history,
            @Nullable String wishes,
            @Nullable String gasket) {
        /** By the names of the columns that a table of castings has. */
        Map<String, String> line() {
            Map<String, String> line = new LinkedHashMap<>();
            put(line, "tag", tag);
            put(line, "engine", engine);
            put(line, "customer", customer);
            put(line, "kind", kind);
            put(line, "metal", metal);
            put(line, "casting number", castingNumber);
            put(line, "stamps", stamps);
            put(line, "cylinders", cylinders);
            put(line, "bore", bore);
            put(line, "spacing", spacing);
            put(line, "length", length);
            put(line, "width", width);
            put(line, "due", due == null ? null : due.toString());
            put(line, "history", history);
            put(line, "wishes", wishes);
            put(line, "gasket", gasket);
            return line;
        }

        private static void put(Map<String, String> line, String column, @Nullable String cell) {
            if (cell != null && !cell.isBlank()) {
                line.put(column, cell.strip());
            }
        }
    }

    @Schema(name = "Booked")
    record Booked(String tag, UUID id) {}

    @Operation(summary = "Books a casting in; the same id once more answers the casting that it made")
    @ApiResponse(responseCode = "201", description = "Booked in, now or before")
    @ToWritingPrograms
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @Transactional
    public ResponseEntity<Booked> book(@Valid @RequestBody BookingIn booking, @AuthenticationPrincipal CurrentUser me) {
        PartFile part = parts.byId(booking.id()).orElseGet(() -> parts.bookOnce(booking.id(), read(booking), me.id()));
        return ResponseEntity.status(HttpStatus.CREATED).body(new Booked(part.tag(), part.id()));
    }

    private homalon.core.visit.Booking read(BookingIn booking) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        String tag = booking.tag() == null || booking.tag().isBlank() ? tags.next() : booking.tag();
        IntakeForm start = Optional.ofNullable(booking.like())
                .filter(l -> !l.isBlank())
                .map(l -> like(l, tag))
                .orElseGet(() -> IntakeForm.blank(tag));
        return CastingLine.read(booking.line(), start, BenchUnit.MM, settings.now(), today)
                .booking();
    }

    private IntakeForm like(String like, String tag) {
        return parts.find(like)
                .or(() -> layouts.named(like))
                .map(l -> IntakeForm.as(l, tag, false, BenchUnit.MM))
                .orElseThrow(
                        () -> new BadInputException("like", "app.tables.like-names-no-casting-and-no-layout", like));
    }

    @Schema(name = "Walk", description = "what is read on a casting; begun: it has places")
    record Walk(String walk, boolean begun, int places, int read) {}

    @Schema(
            name = "Place",
            description = "key: by which it is keyed; x, y: on the face, mm; typed: what stands there, as it was typed")
    record Place(
            String key,
            String words,
            @Nullable Double x,
            @Nullable Double y,
            @Nullable String typed) {}

    @Operation(summary = "What can be read on a casting, and how far it is")
    @ToPrograms
    @GetMapping("/{tag}/walks")
    List<Walk> walks(@PathVariable String tag) {
        PartFile part = parts.byTag(tag);
        return walks.names().stream()
                .map(w -> {
                    List<ReadingPlace> places = walks.of(w).places(part, w);
                    long read =
                            places.stream().filter(p -> p.typed().isPresent()).count();
                    return new Walk(w, !places.isEmpty(), places.size(), (int) read);
                })
                .toList();
    }

    @Operation(summary = "The places of a walk, in the order of the hand; none before it was begun")
    @ToPrograms
    @GetMapping("/{tag}/walks/{walk}/places")
    List<Place> places(@PathVariable String tag, @PathVariable String walk) {
        PartFile part = parts.byTag(tag);
        return walks.of(walk).places(part, walk).stream()
                .map(p -> new Place(
                        p.key(),
                        p.words(),
                        p.spot().map(Spot::x).orElse(null),
                        p.spot().map(Spot::y).orElse(null),
                        p.typed().orElse(null)))
                .toList();
    }

    @Schema(name = "At", description = "x along the face from its front end, y across it from the lower edge, mm")
    record At(double x, double y) {}

    @Schema(name = "Begin", description = "at: places on the face; none for the usual ones")
    record Begin(@Nullable @Size(max = 200) List<At> at) {}

    @Operation(
            summary = "Begins a face or a thickness that has not begun; any other walk begins on its page",
            description = "Begun before, it stays as it is")
    @ToWritingPrograms
    @PostMapping(path = "/{tag}/walks/{walk}", consumes = MediaType.APPLICATION_JSON_VALUE)
    List<Place> begin(
            @PathVariable String tag,
            @PathVariable String walk,
            @Valid @RequestBody Begin begin,
            @AuthenticationPrincipal CurrentUser me) {
        measures(me);
        PartFile part = parts.byTag(tag);
        TakesReadings room = walks.of(walk);
        if (room.places(part, walk).isEmpty()) {
            List<At> at = begin.at() == null ? List.of() : begin.at();
            room.begin(part, walk, at.stream().map(a -> new Spot(a.x(), a.y())).toList(), me.id());
        }
        return places(tag, walk);
    }

    @Schema(
            name = "ReadingIn",
            description =
                    "id: made by the program; place: its key; typed: as at the bench, / leaves the place out; unit: of a bare "
                            + "number; sure: true to keep what was asked about")
    record ReadingIn(
            @NotNull UUID id,
            @NotNull String place,
            @NotNull @Size(max = 120) String typed,
            @NotNull BenchUnit unit,
            @Nullable Boolean sure) {}

    @Operation(summary = "Keeps a reading; the same id once more is kept once")
    @ApiResponse(responseCode = "200", description = "Kept, now or before")
    @ApiResponse(responseCode = "409", description = "Odd, or somebody keyed there before: send it again with sure")
    @ToWritingPrograms
    @PostMapping(path = "/{tag}/walks/{walk}/readings", consumes = MediaType.APPLICATION_JSON_VALUE)
    Place key(
            @PathVariable String tag,
            @PathVariable String walk,
            @Valid @RequestBody ReadingIn in,
            @AuthenticationPrincipal CurrentUser me) {
        measures(me);
        PartFile part = parts.byTag(tag);
        TakesReadings room = walks.of(walk);
        boolean sure = Boolean.TRUE.equals(in.sure());
        long seen = sure ? Long.MAX_VALUE : 0;
        room.key(part, walk, new Keyed(in.id(), in.place(), in.typed(), in.unit(), seen, sure), me.id());
        return places(tag, walk).stream()
                .filter(p -> p.key().equals(in.place()))
                .findFirst()
                .orElseGet(() -> new Place(in.place(), "", null, null, in.typed()));
    }

    /** Measuring is a machinist's, whoever's hand sends it. */
    private static void measures(CurrentUser me) {
        if (me.role() == Role.DESK) {
            throw new AccessDeniedException("a machinist measures");
        }
    }
}
