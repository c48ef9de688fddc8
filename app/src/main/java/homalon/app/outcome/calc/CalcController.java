package homalon.app.outcome.calc;

import homalon.app.foundation.opened.ToPrograms;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import io.swagger.v3.oas.annotations.OpenAPIDefinition;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.enums.SecuritySchemeType;
import io.swagger.v3.oas.annotations.info.Info;
import io.swagger.v3.oas.annotations.info.License;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.parameters.RequestBody;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.security.SecurityRequirement;
import io.swagger.v3.oas.annotations.security.SecurityScheme;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sums for other programs. */
@ToPrograms
@RestController
@RequestMapping(path = "/api/v1/calc", produces = MediaType.APPLICATION_JSON_VALUE)
@OpenAPIDefinition(
        info =
                @Info(
                        title = "Homalon calculations",
                        version = "1",
                        description =
                                "The sums behind the screens, without state. Lengths in mm, slopes in mm per mm, x along the "
                                        + "length, z out of the face (high is +). Results are full doubles. Bad input answers 400 with problem "
                                        + "details that name each field; more than 2 000 000 points or 64 MB answers 413.",
                        license = @License(name = "Apache-2.0")),
        security = {@SecurityRequirement(name = "basic"), @SecurityRequirement(name = "bearer")})
@SecurityScheme(name = "basic", type = SecuritySchemeType.HTTP, scheme = "basic")
@SecurityScheme(name = "bearer", type = SecuritySchemeType.HTTP, scheme = "bearer")
@Tag(name = "Calculations")
@ApiResponse(responseCode = "400", description = "Bad input, with problem details")
@ApiResponse(
        responseCode = "413",
        description = "Too many points or too large a body",
        content = @Content(schema = @Schema(implementation = ProblemDetail.class)))
class CalcController {
    private static final Logger LOG = LoggerFactory.getLogger(CalcController.class);

    @Operation(
            summary = "Flatness, bow, twist and verdict from points",
            description =
                    "Minimum zone (exact, with the points that hold it) and least-squares flatness; long bow, cross bow "
                            + "and fourth-corner lift where the points determine them; with a limit a three-valued verdict.")
    @PostMapping("/flatness")
    FlatnessCall.Answer flatness(@RequestBody(required = true) FlatnessCall.Request request) {
        return FlatnessCall.answer(request);
    }

    @Operation(
            summary = "Four set-ups of a face side by side",
            description =
                    "Plane, depth to clean, shims and the depth on rounded shims for least removal, average, corners "
                            + "and, when slopes are given, parallel.")
    @PostMapping("/setup")
    SetUpCall.Answer setup(@RequestBody(required = true) SetUpCall.Request request) {
        return SetUpCall.answer(request);
    }

    @Operation(
            summary = "What straightedge and feelers prove of a face",
            description =
                    "Intervals in, intervals out: bow, twist and zone that all readings together allow; a verdict that rests on tried lines only; the readings that contradict the rest; the one try that would tell most.")
    @PostMapping("/feelers")
    FeelersCall.Answer feelers(@RequestBody(required = true) FeelersCall.Request request) {
        return FeelersCall.answer(request);
    }

    @Operation(
            summary = "Finish, feed and minutes of a pass",
            description =
                    "Theoretical Ra and Rt of one round insert; spindle speed, table feed and minutes where the cutter and the run are given.")
    @PostMapping("/finish")
    FinishCall.Answer finish(@RequestBody(required = true) FinishCall.Request request) {
        return FinishCall.answer(request);
    }

    @Operation(
            summary = "What a gauge and the people who use it leave open",
            description =
                    "Analysis of variance of people, places and repeats; what it leaves open of a limit, and whether it can prove it.")
    @PostMapping("/study")
    StudyCall.Answer study(@RequestBody(required = true) StudyCall.Request request) {
        return StudyCall.answer(request);
    }

    @Operation(
            summary = "How uncertainty goes through a sum of the trade",
            description = "Value, standard uncertainty and where it comes from; with a limit a three-valued verdict.")
    @PostMapping("/uncertainty")
    UncertaintyCall.Answer uncertainty(@RequestBody(required = true) UncertaintyCall.Request request) {
        return UncertaintyCall.answer(request);
    }

    @Operation(
            summary = "The hollow that a spindle out of square leaves",
            description =
                    "Across a face cut by one cutter wider than it, the same along the travel; either figure from the other.")
    @PostMapping("/tram")
    TramCall.Answer tram(@RequestBody(required = true) TramCall.Request request) {
        return TramCall.answer(request);
    }

    @Operation(
            summary = "A straight shaft in a row of bores",
            description =
                    "Clearance left on the best straight line, heights and sideways together; straightness, bow, and whether it turns.")
    @PostMapping("/shaft")
    ShaftCall.Answer shaft(@RequestBody(required = true) ShaftCall.Request request) {
        return ShaftCall.answer(request);
    }

    @Operation(
            summary = "Clearance and shape of a valve guide",
            description = "Largest bore over smallest stem, wherever each was found; wear, bell-mouth, ovality.")
    @PostMapping("/guide")
    GuideCall.Answer guide(@RequestBody(required = true) GuideCall.Request request) {
        return GuideCall.answer(request);
    }

    @Operation(
            summary = "Clearance from the rocking check",
            description = "Play at the head of the lifted valve, taken back to the guide.")
    @PostMapping("/rocking")
    RockingCall.Answer rocking(@RequestBody(required = true) RockingCall.Request request) {
        return RockingCall.answer(request);
    }

    @Operation(
            summary = "How far each cut of a seat is sunk",
            description = "Three angles; pits, outer edge and width decide the face, the other cuts follow.")
    @PostMapping("/seat")
    SeatCall.Answer seat(@RequestBody(required = true) SeatCall.Request request) {
        return SeatCall.answer(request);
    }

    @Operation(
            summary = "Press of an insert now, hot and while it is fitted",
            description = "Interference, what heat leaves of it and where it is gone; thick-ring pressure and stress.")
    @PostMapping("/insert-fit")
    InsertFitCall.Answer insertFit(@RequestBody(required = true) InsertFitCall.Request request) {
        return InsertFitCall.answer(request);
    }

    @Operation(
            summary = "Compression of one cylinder, with its spread",
            description =
                    "Swept and clearance volume, their ratio, and what the fills leave open of it to first order.")
    @PostMapping("/compression")
    CompressionCall.Answer compression(@RequestBody(required = true) CompressionCall.Request request) {
        return CompressionCall.answer(request);
    }

    @Operation(
            summary = "The cut that brings a cylinder to a ratio",
            description =
                    "Off the head, or instead off the block; from the opening of the chamber or from fills to a depth. The figures are given also where it cannot be had.")
    @PostMapping("/cut-for-ratio")
    CutForRatioCall.Answer cutForRatio(@RequestBody(required = true) CutForRatioCall.Request request) {
        return CutForRatioCall.answer(request);
    }

    @Operation(
            summary = "What a cut brings with it",
            description =
                    "Cam timing, manifold on a V, valve to piston, the gasket that restores the ratio: each that was asked with all of its figures.")
    @PostMapping("/consequences")
    ConsequencesCall.Answer consequences(@RequestBody(required = true) ConsequencesCall.Request request) {
        return ConsequencesCall.answer(request);
    }

    @ExceptionHandler
    ProblemDetail bad(BadInputException e) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, Words.of(e.sentence()));
        problem.setTitle("Bad input");
        problem.setProperty(
                "errors",
                e.problems().stream()
                        .map(p -> Map.of("field", p.field(), "detail", Words.of(p.sentence())))
                        .toList());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail shape(ShapeException e) {
        return bad(new BadInputException(
                List.of(new BadInputException.Problem(e.field(), Message.plain(e.getMessage())))));
    }

    @ExceptionHandler({PointsBody.TooManyException.class, CalcBody.TooLargeException.class})
    ProblemDetail tooMuch() {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONTENT_TOO_LARGE, "Send at most 2 000 000 points and 64 MB in one call.");
        problem.setTitle("Too large");
        return problem;
    }

    /** A sum that did not settle: a fault of ours, told without its inside. */
    @ExceptionHandler
    ProblemDetail unsettled(ArithmeticException e) {
        LOG.error("a sum did not settle", e);
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "These numbers cannot be worked out in double precision: scale them to millimetres of a casting.");
        problem.setTitle("Not computable");
        return problem;
    }
}
