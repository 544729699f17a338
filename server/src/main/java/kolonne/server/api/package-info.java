/**
 * The HTTP API: one table of routes, from which both the handlers and the OpenAPI description are made. JSON in mm, kN,
 * kNm and MPa unless a field says otherwise; errors are problem+json (RFC 9457) with a list of findings.
 */
package kolonne.server.api;
