package homalon.core;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.List;

/** The rules of the house: who may use whom, and what the core never touches. */
@AnalyzeClasses(packages = "homalon.core", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseTest {
    /** From the ground up: each package may use only those named before it. */
    private static final List<String> FLOORS = List.of(
            "words",
            "input",
            "table",
            "quantity",
            "geometry",
            "numeric",
            "part",
            "verdict",
            "gauge",
            "rulebook",
            "surface",
            "face",
            "sure",
            "lines",
            "integrity",
            "catalogue",
            "guides",
            "seats",
            "valves",
            "chambers",
            "ledger",
            "cut",
            "route",
            "visit",
            "hours",
            "bench",
            "money",
            "sim");

    @ArchTest
    static final ArchRule everyPackageUsesOnlyThoseBelow = floors();

    @ArchTest
    static final ArchRule noCycles =
            slices().matching("homalon.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule pure = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "jakarta..",
                    "java.sql..",
                    "java.io..",
                    "java.nio..",
                    "java.net..",
                    "org.thymeleaf..",
                    "tools.jackson..");

    /** Moments and days are handed in as values; what day it is, the core never asks. */
    @ArchTest
    static final ArchRule noClock = noClasses()
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.time.Clock")
            .orShould()
            .callMethodWhere(target(nameMatching("now|currentTimeMillis|nanoTime"))
                    .and(target(owner(resideInAnyPackage("java..")))));

    @ArchTest
    static final ArchRule noMutableStatics =
            fields().that().areStatic().should().beFinal();

    private static LayeredArchitecture floors() {
        LayeredArchitecture house = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String floor : FLOORS) {
            house = house.layer(floor).definedBy("homalon.core." + floor);
        }
        for (int i = 0; i < FLOORS.size(); i++) {
            String[] above = FLOORS.subList(i + 1, FLOORS.size()).toArray(String[]::new);
            house = above.length == 0
                    ? house.whereLayer(FLOORS.get(i)).mayNotBeAccessedByAnyLayer()
                    : house.whereLayer(FLOORS.get(i)).mayOnlyBeAccessedByLayers(above);
        }
        return house;
    }
}
