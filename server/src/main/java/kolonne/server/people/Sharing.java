package kolonne.server.people;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import kolonne.server.guard.Refusal;
import kolonne.server.store.AccountRow;
import kolonne.server.store.By;
import kolonne.server.store.PeopleStore;
import kolonne.server.store.RoleRow;

/** Who may do what with which project. Administrators of the office are owners of every project. */
public final class Sharing {
    private final PeopleStore store;

    public Sharing(PeopleStore store) {
        this.store = store;
    }

    /** The role of a person in a project; empty where it is not shared with them. */
    public Optional<Role> role(Caller who, String project) {
        return who.administrator()
                ? Optional.of(Role.OWNER)
                : Optional.ofNullable(store.in(m -> m.role(project, who.account())))
                        .flatMap(Role::of);
    }

    /** The roles of a person by project; of an administrator those that they have of their own. */
    public Map<String, Role> roles(Caller who) {
        Map<String, Role> out = new HashMap<>();
        store.in(m -> m.rolesIn(who.account()))
                .forEach(r -> Role.of(r.role()).ifPresent(role -> out.put(r.projectId(), role)));
        return out;
    }

    /** With whom a project is shared, by name. */
    public List<RoleRow> of(String project) {
        return store.in(m -> m.rolesOf(project));
    }

    /**
     * Shares a project, or changes as what.
     *
     * @param role null to share it no longer
     * @throws Refusal if it would be left without an owner
     */
    public void share(String project, String account, Role role, By by) {
        store.in(by, (m, log) -> {
            AccountRow a = Optional.ofNullable(m.account(account))
                    .orElseThrow(() -> new NoSuchElementException("There is no account " + account + "."));
            List<RoleRow> now = m.rolesOf(project);
            boolean others = now.stream()
                    .anyMatch(r ->
                            r.role().equals(Role.OWNER.word()) && !r.accountId().equals(account));
            boolean owns = now.stream()
                    .anyMatch(r ->
                            r.role().equals(Role.OWNER.word()) && r.accountId().equals(account));
            if (owns && role != Role.OWNER && !others) {
                throw new Refusal(
                        409,
                        "last-owner",
                        a.name() + " is the only owner of the project.",
                        "Make somebody else an owner first.");
            }
            if (role == null) {
                m.removeRole(project, account);
                log.deed(project, null, "unshare", a.name());
            } else {
                m.putRole(project, account, role.word());
                log.deed(project, null, "share", a.name() + " as " + role.word());
            }
            return null;
        });
    }
}
