package kolonne.server.store;

import java.time.LocalDateTime;

/** A basis of design kept for all projects. @param body as its file has it */
public record KeptBasisRow(String name, String body, LocalDateTime keptAt) {}
