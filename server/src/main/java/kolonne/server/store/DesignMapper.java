package kolonne.server.store;

import java.time.LocalDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** SQL of kept designs. */
public interface DesignMapper {
    /** Nothing where the project is gone or one of the version is kept. */
    @Insert("INSERT IGNORE INTO design (id, project_id, version, build, made_at) "
            + "VALUES (#{id}, #{project}, #{version}, #{build}, #{at})")
    int insert(
            @Param("id") String id,
            @Param("project") String project,
            @Param("version") int version,
            @Param("build") String build,
            @Param("at") LocalDateTime at);

    @Insert("INSERT INTO design_part (design_id, part, content) VALUES (#{id}, #{part}, #{content})")
    int insertPart(@Param("id") String id, @Param("part") int part, @Param("content") byte[] content);

    /** The newest first; of those that were made in one millisecond the later version. */
    @Select("SELECT id FROM design WHERE project_id = #{project} ORDER BY made_at DESC, version DESC, id")
    List<String> ofProject(String project);

    @Select("SELECT version FROM design WHERE project_id = #{project} AND build = #{build} ORDER BY version DESC")
    List<Integer> versions(@Param("project") String project, @Param("build") String build);

    @Select("SELECT p.content FROM design_part p JOIN design d ON d.id = p.design_id "
            + "WHERE d.project_id = #{project} AND d.version = #{version} AND d.build = #{build} ORDER BY p.part")
    List<byte[]> parts(@Param("project") String project, @Param("version") int version, @Param("build") String build);

    @Delete("DELETE FROM design WHERE id = #{id}")
    int remove(String id);

    @Delete("DELETE FROM design WHERE project_id = #{project} AND version = #{version} AND build = #{build}")
    int forget(@Param("project") String project, @Param("version") int version, @Param("build") String build);
}
