package kolonne.server.api;

import io.javalin.http.Context;
import io.javalin.http.HandlerType;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kolonne.server.people.Role;
import kolonne.server.people.Team;
import kolonne.server.project.Projects;
import kolonne.server.store.AccountRow;
import kolonne.server.store.RoleRow;

/** With whom a project is shared, and who did what with it. */
final class SharingRoutes {
    private static final String PEOPLE = "/api/projects/{id}/people";

    private final Projects projects;
    private final Doors doors;

    SharingRoutes(Projects projects, Doors doors) {
        this.projects = projects;
        this.doors = doors;
    }

    /** @param role reader, checker, engineer or owner */
    record SharedWithDto(String account, String name, String role) {}

    record PersonDto(String account, String name) {}

    /** @param others with whom it could be shared as well; told to its owners alone */
    record SharingDto(List<SharedWithDto> people, List<PersonDto> others) {}

    record NewRole(String role) {}

    List<Route> routes() {
        return List.of(
                Route.get(PEOPLE, "With whom the project is shared", SharingDto.class, this::list),
                new Route(
                                HandlerType.PUT,
                                PEOPLE + "/{account}",
                                "Shares the project with somebody, or changes as what",
                                NewRole.class,
                                SharingDto.class,
                                new String[0],
                                this::share)
                        .needs(Needs.OWNER),
                new Route(
                                HandlerType.DELETE,
                                PEOPLE + "/{account}",
                                "Shares the project with somebody no longer",
                                null,
                                SharingDto.class,
                                new String[0],
                                this::unshare)
                        .needs(Needs.OWNER),
                Route.get(
                        "/api/projects/{id}/deeds",
                        "Who did what with the project, when and from where, oldest first",
                        OfficeRoutes.DeedList.class,
                        c -> c.json(new OfficeRoutes.DeedList(projects.deeds(c.pathParam("id")).stream()
                                .map(OfficeRoutes.DeedDto::of)
                                .toList()))));
    }

    private void list(Context c) {
        Team team = SessionRoutes.team(doors);
        List<RoleRow> now = team.sharing().of(c.pathParam("id"));
        Set<String> in = now.stream().map(RoleRow::accountId).collect(Collectors.toSet());
        boolean owner = Doors.role(c).equals(Role.OWNER.word());
        c.json(new SharingDto(
                now.stream()
                        .map(r -> new SharedWithDto(r.accountId(), r.name(), r.role()))
                        .toList(),
                owner
                        ? team.accounts().all().stream()
                                .filter(AccountRow::active)
                                .filter(a -> !in.contains(a.id()))
                                .map(a -> new PersonDto(a.id(), a.name()))
                                .toList()
                        : List.of()));
    }

    private void share(Context c) {
        String word = Body.of(c, NewRole.class).role();
        Role role = Role.of(word)
                .orElseThrow(() -> new BadRequest(
                        422,
                        "role",
                        "There is no role " + word + ".",
                        "Take one of "
                                + Arrays.stream(Role.values()).map(Role::word).collect(Collectors.joining(", "))
                                + "."));
        change(c, role);
    }

    private void unshare(Context c) {
        change(c, null);
    }

    private void change(Context c, Role role) {
        SessionRoutes.team(doors)
                .sharing()
                .share(
                        c.pathParam("id"),
                        c.pathParam("account"),
                        role,
                        People.of(c).by());
        list(c);
    }
}
