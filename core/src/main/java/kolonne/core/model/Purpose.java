package kolonne.core.model;

/** What a combination is for. */
public enum Purpose {
    STRENGTH,
    SERVICE_CHARACTERISTIC,
    SERVICE_QUASI_PERMANENT
}
