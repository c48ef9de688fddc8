package homalon.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

/** The rules of the house for the application: features keep to themselves, and nothing here calculates. */
@AnalyzeClasses(packages = "homalon.app", importOptions = ImportOption.DoNotIncludeTests.class)
class HouseTest {
    @ArchTest
    static final ArchRule noCycles =
            slices().matching("homalon.app.(*)..").should().beFreeOfCycles();

    /** Fits, planes and programmes are asked for through the features of the core, never put together here. */
    @ArchTest
    static final ArchRule nothingIsCalculated =
            noClasses().should().dependOnClassesThat().resideInAnyPackage("homalon.core.numeric..", "org.hipparchus..");

    @ArchTest
    static final ArchRule pagesDoNotReachTheStore = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jakarta.persistence..", "org.springframework.data..", "org.springframework.jdbc..");

    @ArchTest
    static final ArchRule noMutableStatics =
            fields().that().areStatic().should().beFinal();

    @Test
    void featuresUseOnlyEachOthersPublicFace() {
        ApplicationModules.of(HomalonApplication.class).verify();
    }
}
