package kolonne.server.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of work that servers tell one another of. Times are those of the database alone: clocks of servers may differ. */
public interface JobMapper {
    @Insert("INSERT INTO job (id, kind, project_id, holder, held_until, phase, doing, done, total, findings, result) "
            + "VALUES (#{j.id}, #{j.kind}, #{j.projectId}, #{j.holder}, NOW(3) + INTERVAL #{seconds} SECOND, #{j.phase}, "
            + "#{j.doing}, #{j.done}, #{j.total}, #{j.findings}, #{j.result}) "
            + "ON DUPLICATE KEY UPDATE project_id = VALUES(project_id), held_until = VALUES(held_until), "
            + "phase = VALUES(phase), doing = VALUES(doing), done = VALUES(done), total = VALUES(total), "
            + "findings = VALUES(findings), result = VALUES(result)")
    int tell(@Param("j") JobRow row, @Param("seconds") int seconds);

    @Select("SELECT id, kind, project_id, holder, phase IN ('WAITING', 'RUNNING') AND held_until < NOW(3) AS lost, "
            + "phase, doing, done, total, findings, result, cancelled FROM job WHERE id = #{id}")
    JobRow find(String id);

    @Select("SELECT cancelled FROM job WHERE id = #{id}")
    boolean cancelled(String id);

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
