/** Two servers on one database, killed, flooded, starved and fed with damaged files while people work; {@code ./test --torture}. */
package kolonne.bench.torture;
