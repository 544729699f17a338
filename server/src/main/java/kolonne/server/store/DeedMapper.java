package kolonne.server.store;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** SQL of who did what: written and read, never changed. */
public interface DeedMapper {
    @Insert("INSERT INTO deed (made_at, project_id, version, made_in, person, address, kind, detail) "
            + "VALUES (#{row.madeAt}, #{row.projectId}, #{row.version}, #{window}, #{row.person}, #{row.address}, "
            + "#{row.kind}, #{row.detail})")
    int insert(@Param("row") DeedRow row, @Param("window") String window);

    @Select("SELECT made_in FROM deed WHERE project_id = #{project} AND version = #{version}")
    List<String> windows(@Param("project") String project, @Param("version") int version);

    @Select("SELECT made_at, project_id, version, person, address, kind, detail FROM deed "
            + "WHERE project_id = #{project} ORDER BY id")
    List<DeedRow> of(String project);

    @Select(
            "SELECT made_at, project_id, version, person, address, kind, detail FROM deed ORDER BY id DESC LIMIT #{most}")
    List<DeedRow> newest(@Param("most") int most);
}
