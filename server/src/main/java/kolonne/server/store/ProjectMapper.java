package kolonne.server.store;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of projects, their model files and commands. */
public interface ProjectMapper {
    @Select("SELECT id, name, created_at, changed_at, version FROM project WHERE deleted_at IS NULL "
            + "ORDER BY changed_at DESC, id")
    List<ProjectRow> projects();

    @Select("SELECT id, name, created_at, changed_at, version FROM project "
            + "WHERE id = #{id} AND deleted_at IS NULL")
    ProjectRow project(String id);

    @Insert("INSERT INTO project (id, name, created_at, changed_at, version) "
            + "VALUES (#{id}, #{name}, #{createdAt}, #{changedAt}, #{version})")
    int insertProject(ProjectRow row);

    @Select("<script>SELECT id, version FROM project WHERE deleted_at IS NULL AND id IN "
            + "<foreach collection='ids' item='i' open='(' separator=',' close=')'>#{i}</foreach></script>")
    List<VersionRow> versions(@Param("ids") Set<String> ids);

    @Insert("INSERT INTO project_role (project_id, account_id, role) VALUES (#{project}, #{account}, 'owner')")
    int own(@Param("project") String project, @Param("account") String account);

    @Insert("INSERT INTO model_file (project_id, file_name, content) VALUES (#{projectId}, #{fileName}, #{content})")
    int insertModelFile(ModelFileRow row);

    @Select("SELECT project_id, file_name, content FROM model_file WHERE project_id = #{id}")
    ModelFileRow modelFile(String id);

    @Insert("INSERT INTO model_revision (project_id, version, file_name, content) "
            + "VALUES (#{projectId}, #{version}, #{fileName}, #{content})")
    int insertRevision(
            @Param("projectId") String projectId,
            @Param("version") int version,
            @Param("fileName") String fileName,
            @Param("content") byte[] content);

    @Select(
            "SELECT project_id, file_name, content FROM model_revision WHERE project_id = #{id} AND version = #{version}")
    ModelFileRow revision(@Param("id") String id, @Param("version") int version);

    @Select("SELECT version FROM model_revision WHERE project_id = #{id} ORDER BY version")
    List<Integer> revisions(String id);

    @Update("UPDATE project SET name = #{name}, changed_at = #{at}, version = version + 1 "
            + "WHERE id = #{id} AND version = #{version} AND deleted_at IS NULL")
    int rename(
            @Param("id") String id,
            @Param("version") int version,
            @Param("name") String name,
            @Param("at") LocalDateTime at);

    @Update("UPDATE project SET changed_at = #{at}, version = version + 1 "
            + "WHERE id = #{id} AND version = #{version} AND deleted_at IS NULL")
    int touch(@Param("id") String id, @Param("version") int version, @Param("at") LocalDateTime at);

    @Insert("INSERT INTO command (project_id, version, kind, body, made_at, person, effects) "
            + "VALUES (#{projectId}, #{version}, #{kind}, #{body}, #{madeAt}, #{person}, #{effects})")
    int insertCommand(CommandRow row);

    @Select("SELECT project_id, version, kind, body, made_at, person, effects FROM command "
            + "WHERE project_id = #{id} AND version > #{after} ORDER BY version")
    List<CommandRow> commands(@Param("id") String id, @Param("after") int after);

    @Update("UPDATE command SET effects = #{effects} WHERE project_id = #{id} AND version = 1 AND effects IS NULL")
    int putMarks(@Param("id") String id, @Param("effects") String effects);

    @Select("SELECT name, body FROM force_mapping ORDER BY name")
    List<MappingRow> mappings();

    @Insert("INSERT INTO force_mapping (name, body) VALUES (#{name}, #{body}) ON DUPLICATE KEY UPDATE body = #{body}")
    int putMapping(MappingRow row);

    @Select("SELECT kind, name, body, kept_at FROM kept WHERE kind = #{kind} ORDER BY name")
    List<KeptRow> kept(String kind);

    @Insert("INSERT INTO kept (kind, name, body, kept_at) VALUES (#{kind}, #{name}, #{body}, #{keptAt}) "
            + "ON DUPLICATE KEY UPDATE body = #{body}, kept_at = #{keptAt}")
    int putKept(KeptRow row);

    @Delete("DELETE FROM kept WHERE kind = #{kind} AND name = #{name}")
    int deleteKept(@Param("kind") String kind, @Param("name") String name);

    @Select("SELECT project_id, version, body, logo FROM project_data WHERE project_id = #{id}")
    ProjectDataRow data(String id);

    @Insert("INSERT IGNORE INTO project_data (project_id, version, body, logo) "
            + "VALUES (#{projectId}, #{version}, #{body}, #{logo})")
    int insertData(ProjectDataRow row);

    @Update("UPDATE project_data SET version = #{version}, body = #{body}, logo = #{logo} "
            + "WHERE project_id = #{projectId} AND version = #{version} - 1")
    int updateData(ProjectDataRow row);

    @Update("UPDATE project SET deleted_at = #{at}, deleted_by = #{person} WHERE id = #{id} AND deleted_at IS NULL")
    int delete(@Param("id") String id, @Param("person") String person, @Param("at") LocalDateTime at);

    @Select("SELECT id, name, deleted_at, deleted_by FROM project WHERE deleted_at IS NOT NULL "
            + "ORDER BY deleted_at DESC, id")
    List<DeletedRow> deleted();

    @Select("SELECT COUNT(*) FROM project WHERE id = #{id}")
    int known(String id);

    @Update("UPDATE project SET deleted_at = NULL, deleted_by = '' WHERE id = #{id} AND deleted_at IS NOT NULL")
    int bringBack(String id);

    @Delete("DELETE FROM project WHERE id = #{id} AND deleted_at IS NOT NULL")
    int remove(String id);

    @Delete("DELETE FROM project WHERE deleted_at < #{moment}")
    int removeDeletedBefore(LocalDateTime moment);
}
