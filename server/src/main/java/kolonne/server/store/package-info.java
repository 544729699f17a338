/** Records in MariaDB through MyBatis. All SQL of Kolonne is here and in db/migration. */
package kolonne.server.store;
