package kolonne.server.api;

import kolonne.server.jobs.MadeFiles;

/**
 * A file to take away: asked for by GET it is sent while it is written, asked for by POST a job makes it.
 *
 * @param file   at the end of the address
 * @param type   of its content
 * @param name   that it is saved under
 * @param making looks at what is asked for and refuses it at once, or answers what will be written
 * @param query  names of the query parameters
 */
record Export(String file, String type, String name, String summary, Making making, String... query) {
    interface Making {
        MadeFiles.Writing of(FileAsked asked);
    }
}
