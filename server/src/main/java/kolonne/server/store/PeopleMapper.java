package kolonne.server.store;

import java.time.LocalDateTime;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** SQL of accounts, of what they are signed in with, and of their roles. */
public interface PeopleMapper {
    String ACCOUNT = "SELECT id, name, password, administrator, active, must_change, failures, wait_until, made_at, "
            + "signed_in_at FROM account ";

    @Select(ACCOUNT + "ORDER BY name")
    List<AccountRow> accounts();

    @Select(ACCOUNT + "WHERE id = #{id}")
    AccountRow account(String id);

    /** The account of a name, locked until the transaction ends. */
    @Select(ACCOUNT + "WHERE name = #{name} FOR UPDATE")
    AccountRow named(String name);

    @Select(ACCOUNT + "WHERE subject = #{subject}")
    AccountRow bySubject(String subject);

    @Select("SELECT COUNT(*) FROM account WHERE id = #{id} AND subject IS NOT NULL")
    int linked(String id);

    @Update("UPDATE account SET subject = #{subject} WHERE id = #{id}")
    int setSubject(@Param("id") String id, @Param("subject") String subject);

    /** Locks all administrators who may sign in until the transaction ends. */
    @Select("SELECT id FROM account WHERE administrator AND active FOR UPDATE")
    List<String> administrators();

    @Insert("INSERT IGNORE INTO account (id, name, password, administrator, active, must_change, made_at) "
            + "VALUES (#{id}, #{name}, #{password}, #{administrator}, #{active}, #{mustChange}, #{madeAt})")
    int insert(AccountRow row);

    @Update("UPDATE account SET password = #{password}, must_change = #{mustChange}, failures = 0, wait_until = NULL "
            + "WHERE id = #{id}")
    int setPassword(
            @Param("id") String id, @Param("password") String password, @Param("mustChange") boolean mustChange);

    @Update("UPDATE account SET active = #{active}, administrator = #{administrator} WHERE id = #{id}")
    int setStanding(
            @Param("id") String id, @Param("active") boolean active, @Param("administrator") boolean administrator);

    @Update("UPDATE account SET failures = failures + 1, wait_until = #{until} WHERE id = #{id}")
    int failed(@Param("id") String id, @Param("until") LocalDateTime until);

    @Update("UPDATE account SET failures = 0, wait_until = NULL WHERE id = #{id}")
    int right(String id);

    @Update("UPDATE account SET signed_in_at = #{at} WHERE id = #{id}")
    int signedIn(@Param("id") String id, @Param("at") LocalDateTime at);

    @Insert("INSERT INTO sign_in (secret, account_id, began_at, seen_at, address, device) "
            + "VALUES (#{secret}, #{accountId}, #{beganAt}, #{seenAt}, #{address}, #{device})")
    int insertSignIn(SignInRow row);

    @Select("SELECT secret, account_id, began_at, seen_at, address, device FROM sign_in WHERE secret = #{secret}")
    SignInRow signIn(String secret);

    @Select("SELECT secret, account_id, began_at, seen_at, address, device FROM sign_in WHERE account_id = #{account} "
            + "ORDER BY seen_at DESC")
    List<SignInRow> signIns(String account);

    @Update("UPDATE sign_in SET seen_at = #{at} WHERE secret = #{secret}")
    int seen(@Param("secret") String secret, @Param("at") LocalDateTime at);

    @Delete("DELETE FROM sign_in WHERE secret = #{secret}")
    int endSignIn(String secret);

    @Delete("DELETE FROM sign_in WHERE account_id = #{account} AND secret != #{but}")
    int endSignIns(@Param("account") String account, @Param("but") String but);

    @Delete("DELETE FROM sign_in WHERE seen_at < #{seen} OR began_at < #{began}")
    int endOldSignIns(@Param("seen") LocalDateTime seen, @Param("began") LocalDateTime began);

    @Insert("INSERT INTO access_token (id, secret, account_id, name, made_at, ends_at) "
            + "VALUES (#{id}, #{secret}, #{accountId}, #{name}, #{madeAt}, #{endsAt})")
    int insertToken(TokenRow row);

    @Select("SELECT id, secret, account_id, name, made_at, ends_at, used_at FROM access_token WHERE secret = #{secret}")
    TokenRow token(String secret);

    @Select("SELECT id, secret, account_id, name, made_at, ends_at, used_at FROM access_token "
            + "WHERE account_id = #{account} ORDER BY made_at DESC, id")
    List<TokenRow> tokens(String account);

    @Update("UPDATE access_token SET used_at = #{at} WHERE secret = #{secret}")
    int used(@Param("secret") String secret, @Param("at") LocalDateTime at);

    @Delete("DELETE FROM access_token WHERE account_id = #{account} AND id = #{id}")
    int endToken(@Param("account") String account, @Param("id") String id);

    @Delete("DELETE FROM access_token WHERE account_id = #{account}")
    int endTokens(String account);

    @Select("SELECT role FROM project_role WHERE project_id = #{project} AND account_id = #{account}")
    String role(@Param("project") String project, @Param("account") String account);

    @Select("SELECT r.project_id, r.account_id, a.name, r.role FROM project_role r "
            + "JOIN account a ON a.id = r.account_id WHERE r.project_id = #{project} ORDER BY a.name FOR UPDATE")
    List<RoleRow> rolesOf(String project);

    @Select("SELECT r.project_id, r.account_id, a.name, r.role FROM project_role r "
            + "JOIN account a ON a.id = r.account_id WHERE r.account_id = #{account}")
    List<RoleRow> rolesIn(String account);

    @Insert("INSERT INTO project_role (project_id, account_id, role) VALUES (#{project}, #{account}, #{role}) "
            + "ON DUPLICATE KEY UPDATE role = #{role}")
    int putRole(@Param("project") String project, @Param("account") String account, @Param("role") String role);

    @Delete("DELETE FROM project_role WHERE project_id = #{project} AND account_id = #{account}")
    int removeRole(@Param("project") String project, @Param("account") String account);
}
