package kolonne.core.basis.part;

/**
 * Parts of the span that deflections may not pass, as divisors.
 *
 * @param live    immediate deflection of floors under live load
 * @param roof    the same of roofs
 * @param lasting what comes after the partitions; more where they are likely to be damaged
 */
public record DeflectionLimits(double live, double roof, double lasting) {
    /** Whether partitions are likely to be damaged: a deep span is then no substitute for computed deflections. */
    public boolean sensitive() {
        return lasting >= 480;
    }
}
