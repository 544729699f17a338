package kolonne.server.store;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of files between upload and use. */
public interface UploadMapper {
    /** @param bytes of its content */
    record Kept(String id, int bytes) {}

    record Named(String projectId, String fileName) {}

    @Insert("INSERT INTO upload (id, project_id, kind, file_name, kept_at, bytes) "
            + "VALUES (#{id}, #{u.project}, #{kind}, #{u.fileName}, NOW(3), #{bytes})")
    int insert(@Param("id") String id, @Param("kind") String kind, @Param("u") Upload u, @Param("bytes") int bytes);

    @Insert("INSERT INTO upload_part (upload_id, part, content) VALUES (#{id}, #{part}, #{content})")
    int insertPart(@Param("id") String id, @Param("part") int part, @Param("content") byte[] content);

    /** All parts are there. */
    @Update("UPDATE upload SET whole = TRUE WHERE id = #{id}")
    int whole(String id);

    @Select("SELECT project_id, file_name FROM upload WHERE id = #{id} AND kind = #{kind} AND whole")
    Named find(@Param("id") String id, @Param("kind") String kind);

    /** One, or none. */
    @Select("SELECT content FROM upload_part WHERE upload_id = #{id} AND part = #{part}")
    List<byte[]> part(@Param("id") String id, @Param("part") int part);

    /** The newest first. */
    @Select("SELECT id, bytes FROM upload ORDER BY kept_at DESC, id")
    List<Kept> kept();

    @Delete("DELETE FROM upload WHERE id = #{id}")
    int remove(String id);

    @Delete("DELETE FROM upload WHERE kept_at < NOW(3) - INTERVAL #{hours} HOUR")
    int forget(int hours);
}
