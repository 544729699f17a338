/**
 * Made-up buildings. {@link kolonne.core.demo.DemoBuilding} makes the Veldhaven Archive and Reading Rooms, an invented
 * building with one of everything, and plain frames of any size for benchmarks. Same options, same building.
 */
package kolonne.core.demo;
