package kolonne.server.api;

import kolonne.server.people.Role;

/** Who may use a route, where people have accounts. */
enum Needs {
    /** Anybody, signed in or not. */
    NOTHING("nobody signed in"),
    /** A person who is signed in, even before they have changed a password that was given to them. */
    SELF("a person who is signed in"),
    /** A person who is signed in. */
    ACCOUNT("a person who is signed in"),
    /** Whoever may read the project of the job; who began it where it makes a project. */
    JOB("a reader of the project of the job"),
    ADMINISTRATOR("an administrator"),
    READER("a reader of the project"),
    CHECKER("a checker of the project"),
    ENGINEER("an engineer of the project"),
    OWNER("an owner of the project");

    private final String words;

    Needs(String words) {
        this.words = words;
    }

    String words() {
        return words;
    }

    /** The role in the project that it stands for. */
    Role role() {
        return Role.valueOf(name());
    }

    boolean ofProject() {
        return compareTo(READER) >= 0;
    }
}
