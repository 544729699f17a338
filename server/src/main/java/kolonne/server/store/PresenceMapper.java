package kolonne.server.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** SQL of presence. A server that has not told for ten seconds is gone, and its windows with it. */
public interface PresenceMapper {
    @Delete("DELETE FROM presence WHERE server = #{server} OR seen_at < NOW(3) - INTERVAL 10 SECOND")
    int clear(String server);

    @Insert("INSERT INTO presence (server, number, project_id, person, made_in, seen_at) "
            + "VALUES (#{server}, #{number}, #{here.projectId}, #{here.person}, #{here.madeIn}, NOW(3))")
    int insert(@Param("server") String server, @Param("number") int number, @Param("here") PresenceStore.Here here);

    @Select("SELECT project_id, person, made_in FROM presence "
            + "WHERE server <> #{server} AND seen_at >= NOW(3) - INTERVAL 10 SECOND ORDER BY project_id, person")
    List<PresenceStore.Here> elsewhere(String server);
}
