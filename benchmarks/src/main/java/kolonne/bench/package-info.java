/** Benchmarks: whole buildings from file to results, and single lines with JMH. */
package kolonne.bench;
