package kolonne.server.store;

import java.util.Collection;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of work that servers tell one another of. Times are those of the database alone: clocks of servers may differ. */
public interface JobMapper {
    /** Of work that another server took up nothing is told by the one that lost it. */
    @Insert("INSERT INTO job (id, kind, project_id, holder, held_until, phase, doing, done, total, findings, result) "
            + "VALUES (#{j.id}, #{j.kind}, #{j.projectId}, #{j.holder}, NOW(3) + INTERVAL #{seconds} SECOND, #{j.phase}, "
            + "#{j.doing}, #{j.done}, #{j.total}, #{j.findings}, #{j.result}) "
            + "ON DUPLICATE KEY UPDATE project_id = IF(holder = VALUES(holder), VALUES(project_id), project_id), "
            + "held_until = IF(holder = VALUES(holder), VALUES(held_until), held_until), "
            + "phase = IF(holder = VALUES(holder), VALUES(phase), phase), "
            + "doing = IF(holder = VALUES(holder), VALUES(doing), doing), "
            + "done = IF(holder = VALUES(holder), VALUES(done), done), "
            + "total = IF(holder = VALUES(holder), VALUES(total), total), "
            + "findings = IF(holder = VALUES(holder), VALUES(findings), findings), "
            + "result = IF(holder = VALUES(holder), VALUES(result), result)")
    int tell(@Param("j") JobRow row, @Param("seconds") int seconds);

    /** What another server may take up is not lost yet. */
    @Select("SELECT id, kind, project_id, holder, phase IN ('WAITING', 'RUNNING') AND held_until < NOW(3) "
            + "AND (cancelled OR NOT EXISTS (SELECT 1 FROM job_input i WHERE i.job_id = job.id AND i.parts > 0 AND i.tries < #{tries})) "
            + "AS lost, phase, doing, done, total, findings, result, cancelled FROM job WHERE id = #{id}")
    JobRow find(@Param("id") String id, @Param("tries") int tries);

    @Select("SELECT cancelled OR holder <> #{holder} FROM job WHERE id = #{id}")
    boolean unwanted(@Param("id") String id, @Param("holder") String holder);

    @Insert(
            "INSERT INTO job_input (job_id, project_id, name, file_name, person, account, address, from_window, megabytes) "
                    + "VALUES (#{id}, #{b.projectId}, #{b.name}, #{b.fileName}, #{b.person}, #{b.account}, #{b.address}, "
                    + "#{b.fromWindow}, #{b.megabytes})")
    int insertInput(@Param("id") String id, @Param("b") Brought what);

    @Insert("INSERT INTO job_input_part (job_id, part, content) VALUES (#{id}, #{part}, #{content})")
    int insertInputPart(@Param("id") String id, @Param("part") int part, @Param("content") byte[] content);

    /** All parts are there. */
    @Update("UPDATE job_input SET parts = #{parts} WHERE job_id = #{id}")
    int whole(@Param("id") String id, @Param("parts") int parts);

    /** Left longest ago first. */
    @Select("<script>SELECT j.id, j.kind, j.holder = '' AS handed_over FROM job j JOIN job_input i ON i.job_id = j.id "
            + "WHERE j.kind IN <foreach item='k' collection='kinds' open='(' separator=',' close=')'>#{k}</foreach> "
            + "AND j.phase IN ('WAITING', 'RUNNING') AND j.held_until &lt; NOW(3) AND NOT j.cancelled "
            + "AND j.holder != #{holder} AND i.parts &gt; 0 AND i.megabytes &lt;= #{megabytes} AND i.tries &lt; #{tries} "
            + "ORDER BY j.held_until LIMIT 20</script>")
    List<JobStore.Silent> left(
            @Param("kinds") Collection<String> kinds,
            @Param("holder") String holder,
            @Param("megabytes") int megabytes,
            @Param("tries") int tries);

    /** Locked, so that no two servers take it; null where it is not left any more. */
    @Select("SELECT id FROM job WHERE id = #{id} AND phase IN ('WAITING', 'RUNNING') AND held_until < NOW(3) "
            + "AND NOT cancelled FOR UPDATE SKIP LOCKED")
    String lockLeft(String id);

    @Update("UPDATE job SET holder = #{holder}, held_until = NOW(3) + INTERVAL #{seconds} SECOND WHERE id = #{id}")
    int takeUp(@Param("id") String id, @Param("holder") String holder, @Param("seconds") int seconds);

    @Update("UPDATE job_input SET tries = tries + 1 WHERE job_id = #{id}")
    int tried(String id);

    @Select("SELECT project_id, name, file_name, person, account, address, from_window, megabytes FROM job_input "
            + "WHERE job_id = #{id}")
    Brought input(String id);

    /** One, or none. */
    @Select("SELECT content FROM job_input_part WHERE job_id = #{id} AND part = #{part}")
    List<byte[]> inputPart(@Param("id") String id, @Param("part") int part);

    /** Only with the end that its holder told. */
    @Delete("DELETE FROM job_input WHERE job_id = #{id} "
            + "AND EXISTS (SELECT 1 FROM job j WHERE j.id = #{id} AND j.holder = #{holder})")
    int removeInput(@Param("id") String id, @Param("holder") String holder);

    @Update("UPDATE job SET holder = '', held_until = NOW(3) - INTERVAL 1000 MICROSECOND "
            + "WHERE id = #{id} AND holder = #{holder}")
    int release(@Param("id") String id, @Param("holder") String holder);

    @Update("UPDATE job SET cancelled = TRUE WHERE id = #{id}")
    int cancel(String id);

    /** Of work that ended, the time until which it was held is that of its end. */
    @Delete("DELETE FROM job WHERE held_until < NOW(3) - INTERVAL #{minutes} MINUTE LIMIT 20")
    int forget(int minutes);

    /** Nothing where the work is not told. */
    @Insert("INSERT INTO job_file (job_id, type, name, kept_at) "
            + "SELECT id, #{type}, #{name}, NOW(3) FROM job WHERE id = #{id}")
    int insertFile(@Param("id") String id, @Param("type") String type, @Param("name") String name);

    @Insert("INSERT INTO job_part (job_id, part, content) VALUES (#{id}, #{part}, #{content})")
    int insertPart(@Param("id") String id, @Param("part") int part, @Param("content") byte[] content);

    @Select("SELECT type, name FROM job_file WHERE job_id = #{id}")
    JobStore.File file(String id);

    /** One, or none. */
    @Select("SELECT content FROM job_part WHERE job_id = #{id} AND part = #{part}")
    List<byte[]> part(@Param("id") String id, @Param("part") int part);

    /** The newest first. */
    @Select("SELECT job_id FROM job_file ORDER BY kept_at DESC, job_id")
    List<String> files();

    @Delete("DELETE FROM job_file WHERE job_id = #{id}")
    int removeFile(String id);
}
