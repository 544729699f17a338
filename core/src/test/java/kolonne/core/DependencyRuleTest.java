package kolonne.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The core knows the JDK and a numerics library only, and its packages form no cycles. */
@AnalyzeClasses(packages = "kolonne.core", importOptions = ImportOption.DoNotIncludeTests.class)
class DependencyRuleTest {
    @ArchTest
    static final ArchRule NO_FILES_SQL_HTTP_OR_CLOCK = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "java.io..",
                    "java.nio.file..",
                    "java.sql..",
                    "java.net..",
                    "java.time..",
                    "com.fasterxml..",
                    "io.javalin..",
                    "org.apache..",
                    "org.slf4j..",
                    "kolonne.exchange..",
                    "kolonne.server..");

    @ArchTest
    static final ArchRule NO_RANDOM_OUTSIDE_THE_DEMO = noClasses()
            .that()
            .resideOutsideOfPackage("..demo..")
            .should()
            .dependOnClassesThat()
            .haveFullyQualifiedName("java.util.Random");

    @ArchTest
    static final ArchRule NO_CYCLES =
            slices().matching("kolonne.core.(**)").should().beFreeOfCycles();

    /** A line knows no cage, a cage no check, a check no choice. */
    @ArchTest
    static final ArchRule BEAM_ROOMS = rooms("kolonne.core.beam");

    @ArchTest
    static final ArchRule COLUMN_ROOMS = rooms("kolonne.core.column");

    private static ArchRule rooms(String of) {
        return layeredArchitecture()
                .consideringOnlyDependenciesInAnyPackage(of + "..")
                .layer("line")
                .definedBy(of + ".line")
                .layer("cage")
                .definedBy(of + ".cage")
                .layer("check")
                .definedBy(of + ".check")
                .layer("choice")
                .definedBy(of + ".choice")
                .whereLayer("choice")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("check")
                .mayOnlyBeAccessedByLayers("choice")
                .whereLayer("cage")
                .mayOnlyBeAccessedByLayers("check", "choice");
    }
}
