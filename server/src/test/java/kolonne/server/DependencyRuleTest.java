package kolonne.server;

import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** One way for data to flow: server on exchange on core; within the server SQL is in the store alone. */
@AnalyzeClasses(packages = "kolonne", importOptions = ImportOption.DoNotIncludeTests.class)
class DependencyRuleTest {
    @ArchTest
    static final ArchRule LAYERS = layeredArchitecture()
            .consideringOnlyDependenciesInLayers()
            .layer("core")
            .definedBy("kolonne.core..")
            .layer("exchange")
            .definedBy("kolonne.exchange..")
            .layer("store")
            .definedBy("kolonne.server.store..")
            .layer("archive")
            .definedBy("kolonne.server.archive..")
            .layer("kept")
            .definedBy("kolonne.server.kept..")
            .layer("jobs")
            .definedBy("kolonne.server.jobs..")
            .layer("project")
            .definedBy("kolonne.server.project..")
            .layer("people")
            .definedBy("kolonne.server.people..")
            .layer("guard")
            .definedBy("kolonne.server.guard..")
            .layer("watch")
            .definedBy("kolonne.server.watch..")
            .layer("api")
            .definedBy("kolonne.server.api..")
            .layer("command")
            .definedBy("kolonne.server.command..", "kolonne.server")
            .whereLayer("exchange")
            .mayOnlyBeAccessedByLayers("archive", "kept", "project", "api", "command")
            .whereLayer("kept")
            .mayOnlyBeAccessedByLayers("project")
            .whereLayer("store")
            .mayOnlyBeAccessedByLayers("archive", "jobs", "project", "people", "api", "command")
            .whereLayer("people")
            .mayOnlyBeAccessedByLayers("api", "command")
            .whereLayer("archive")
            .mayOnlyBeAccessedByLayers("project", "api", "command")
            .whereLayer("guard")
            .mayOnlyBeAccessedByLayers("people", "api", "command")
            .whereLayer("watch")
            .mayOnlyBeAccessedByLayers("api", "command")
            .whereLayer("jobs")
            .mayOnlyBeAccessedByLayers("project", "api", "command")
            .whereLayer("project")
            .mayOnlyBeAccessedByLayers("api", "command")
            .whereLayer("api")
            .mayOnlyBeAccessedByLayers("command");

    @ArchTest
    static final ArchRule NO_CYCLES =
            slices().matching("kolonne.(exchange|server).(*)..").should().beFreeOfCycles();
}
