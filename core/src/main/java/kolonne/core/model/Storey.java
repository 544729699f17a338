package kolonne.core.model;

/** A floor level. @param elevation [mm] of the floor's joints */
public record Storey(String id, String name, double elevation) {}
