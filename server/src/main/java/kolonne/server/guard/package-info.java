/** What every request passes before a route sees it: whose page asks, what it sends, how fast. Knows no route. */
package kolonne.server.guard;
