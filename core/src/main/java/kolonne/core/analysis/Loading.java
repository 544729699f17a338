package kolonne.core.analysis;

/** A load of unit size on a member, and how large it is in which load cases. */
record Loading(SpanLoad shape, int[] cases, double[] sizes) {}
