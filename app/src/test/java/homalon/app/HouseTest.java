package homalon.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.constructors;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaConstructor;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import jakarta.persistence.Entity;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Profile;
import org.springframework.modulith.core.ApplicationModules;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Component;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** The rules of the house for the application: features keep to themselves, and nothing here calculates. */
@AnalyzeClasses(
        packages = "homalon.app",
        importOptions = {ImportOption.DoNotIncludeTests.class, HouseTest.Written.class})
class HouseTest {
    /** What the build works out ahead of the start is nobody's writing. */
    static final class Written implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__") && !location.contains("$$SpringCGLIB");
        }
    }

    /** Wings, the lowest first. */
    private static final List<String> WINGS = List.of("foundation", "casting", "shop", "check", "machining", "outcome");

    @ArchTest
    static final ArchRule noCyclesOfRooms =
            slices().matching("homalon.app.(*).(*)..").should().beFreeOfCycles();

    /** Each wing uses those before it. */
    @ArchTest
    static void noArrowUp(JavaClasses house) {
        for (int i = 0; i < WINGS.size() - 1; i++) {
            String[] above = WINGS.subList(i + 1, WINGS.size()).stream()
                    .map(w -> "homalon.app." + w + "..")
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("homalon.app." + WINGS.get(i) + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(above)
                    .check(house);
        }
    }

    /** What stands in no wing is the start. */
    @ArchTest
    static final ArchRule everyRoomIsInAWing = classes()
            .that()
            .doNotHaveSimpleName("package-info")
            .should()
            .resideInAnyPackage(
                    Stream.concat(Stream.of("homalon.app"), WINGS.stream().map(w -> "homalon.app." + w + ".*.."))
                            .toArray(String[]::new));

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

    /** For a class that could have children Hibernate writes a stand-in at every start: a twentieth of it, for nothing. */
    @ArchTest
    static final ArchRule nobodyIsStoodInFor =
            classes().that().areAnnotatedWith(Entity.class).should().haveModifier(JavaModifier.FINAL);

    /** One memory, with one rule for what may grow old and one bound on all of it (ADR 18). */
    @ArchTest
    static final ArchRule onlyTheMemoryRemembers = noClasses()
            .that()
            .resideOutsideOfPackage("homalon.app.foundation.memory..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("com.github.benmanes.caffeine..");

    @ArchTest
    static final ArchRule noMutableStatics =
            fields().that().areStatic().should().beFinal();

    @Test
    void featuresUseOnlyEachOthersPublicFace() {
        ApplicationModules rooms = ApplicationModules.of(HomalonApplication.class);
        assertTrue(rooms.stream().count() > 30, "rooms, not wings");
        rooms.verify();
    }

    /**
     * A shop that is started is made as it was worked out when it was built. Of what a setting takes in or leaves out, the
     * command knows these: with them the application is put together at the start (ADR 28).
     */
    @ArchTest
    static final ArchRule WHAT_DEPENDS_ON_A_SETTING_IS_KNOWN_TO_THE_COMMAND = classes()
            .that()
            .areAnnotatedWith(ConditionalOnProperty.class)
            .should(new ArchCondition<JavaClass>("depend on a setting that the command knows") {
                private final Set<String> known =
                        Set.of("homalon.demo", "homalon.passkeys", "homalon.verify", "homalon.timing");

                @Override
                public void check(JavaClass one, ConditionEvents events) {
                    ConditionalOnProperty on = one.getAnnotationOfType(ConditionalOnProperty.class);
                    boolean said = known.containsAll(List.of(on.value()));
                    events.add(new SimpleConditionEvent(one, said, one.getName()));
                }
            });

    @ArchTest
    static final ArchRule noBeanDependsOnASetting = noMethods()
            .should()
            .beAnnotatedWith(ConditionalOnProperty.class)
            .orShould()
            .beAnnotatedWith(Profile.class);

    /** What says nothing is refused at run time (opened.Closed); here it is found before. */
    @ArchTest
    static final ArchRule EVERY_HANDLER_SAYS_WHO_MAY_CALL_IT = methods()
            .that()
            .areMetaAnnotatedWith(RequestMapping.class)
            .and()
            .areDeclaredInClassesThat()
            .areMetaAnnotatedWith(Controller.class)
            .should(new ArchCondition<JavaMethod>("say who may call it") {
                @Override
                public void check(JavaMethod method, ConditionEvents events) {
                    boolean said = method.isMetaAnnotatedWith(PreAuthorize.class)
                            || method.getOwner().isMetaAnnotatedWith(PreAuthorize.class);
                    events.add(new SimpleConditionEvent(method, said, method.getFullName()));
                }
            });

    /** Whatever asks for more does more than one thing. */
    @ArchTest
    static final ArchRule atMostSevenCollaborators = constructors()
            .that()
            .areDeclaredInClassesThat()
            .areMetaAnnotatedWith(Component.class)
            .should(new ArchCondition<JavaConstructor>("have at most seven parameters") {
                @Override
                public void check(JavaConstructor made, ConditionEvents events) {
                    int asked = made.getRawParameterTypes().size();
                    events.add(new SimpleConditionEvent(made, asked <= 7, made.getFullName() + " has " + asked));
                }
            });
}
