package kolonne.server.store;

import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of shared work. Times are those of the database alone: clocks of servers may differ. */
public interface TaskMapper {
    String COLUMNS = "SELECT id, kind, project_id, version, state, holder, "
            + "state = 'taken' AND held_until < NOW(3) AS lost, tries, doing, done, total, findings FROM task ";

    @Insert("INSERT INTO task (id, kind, project_id, version, build, person, state, asked_at) "
            + "VALUES (#{id}, #{kind}, #{project}, #{version}, #{build}, #{person}, 'waiting', NOW(3)) "
            + "ON DUPLICATE KEY UPDATE tries = IF(state = 'failed', 0, tries), "
            + "asked_at = IF(state = 'failed', NOW(3), asked_at), "
            + "state = IF(state = 'failed', 'waiting', state)")
    int ask(
            @Param("id") String id,
            @Param("kind") String kind,
            @Param("project") String project,
            @Param("version") int version,
            @Param("build") String build,
            @Param("person") String person);

    @Update("UPDATE task SET state = 'old' WHERE kind = #{kind} AND project_id = #{project} "
            + "AND version < #{version} AND state IN ('waiting', 'taken')")
    int outdate(@Param("kind") String kind, @Param("project") String project, @Param("version") int version);

    @Delete("DELETE FROM task WHERE state IN ('done', 'failed', 'old') "
            + "AND asked_at < NOW(3) - INTERVAL 1 DAY LIMIT 100")
    int clean();

    @Select(COLUMNS + "WHERE kind = #{kind} AND project_id = #{project} AND version = #{version} "
            + "AND build = #{build} FOR UPDATE")
    TaskRow held(
            @Param("kind") String kind,
            @Param("project") String project,
            @Param("version") int version,
            @Param("build") String build);

    @Select("SELECT t.id, t.kind, t.project_id, t.version, t.state, t.holder, "
            + "t.state = 'taken' AS lost, t.tries, t.doing, t.done, t.total, t.findings FROM task t "
            + "WHERE t.build = #{build} AND (t.state = 'waiting' AND t.asked_at <= NOW(3) - INTERVAL #{patience} * 1000 MICROSECOND "
            + "OR t.state = 'taken' AND t.held_until < NOW(3)) "
            + "ORDER BY (SELECT COUNT(*) FROM task o WHERE o.state = 'taken' AND o.person = t.person), t.asked_at "
            + "LIMIT 1 FOR UPDATE SKIP LOCKED")
    TaskRow next(@Param("build") String build, @Param("patience") int patience);

    @Update("UPDATE task SET state = 'taken', holder = #{holder}, held_until = NOW(3) + INTERVAL #{seconds} SECOND, "
            + "tries = tries + 1, doing = '', done = 0, total = 0, findings = NULL WHERE id = #{id}")
    int take(@Param("id") String id, @Param("holder") String holder, @Param("seconds") int seconds);

    @Update("UPDATE task SET held_until = NOW(3) + INTERVAL #{seconds} SECOND, doing = #{doing}, done = #{done}, "
            + "total = #{total} WHERE id = #{id} AND holder = #{holder} AND state = 'taken'")
    int renew(
            @Param("id") String id,
            @Param("holder") String holder,
            @Param("seconds") int seconds,
            @Param("doing") String doing,
            @Param("done") int done,
            @Param("total") int total);

    @Update("UPDATE task SET state = #{state}, findings = #{findings}, held_until = NULL "
            + "WHERE id = #{id} AND holder = #{holder} AND state = 'taken'")
    int end(
            @Param("id") String id,
            @Param("holder") String holder,
            @Param("state") String state,
            @Param("findings") String findings);

    @Update("UPDATE task SET state = 'failed', findings = NULL, held_until = NULL WHERE id = #{id}")
    int giveUp(String id);

    @Update("UPDATE task SET state = 'waiting', holder = NULL, held_until = NULL, tries = GREATEST(tries, 1) - 1, "
            + "doing = '', done = 0, total = 0 WHERE holder = #{holder} AND state = 'taken'")
    int release(String holder);

    @Update("UPDATE task SET state = 'waiting', asked_at = NOW(3), tries = 0 WHERE id = #{id} AND state = 'done'")
    int again(String id);
}
