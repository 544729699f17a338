package kolonne.server.store;

import org.apache.ibatis.session.SqlSession;

/** Takes down what somebody does, in the transaction that does it. */
public final class DeedLog {
    /** Characters of a detail. */
    private static final int LONGEST_DETAIL = 400;

    private final DeedMapper deeds;
    private final By by;

    DeedLog(SqlSession session, By by) {
        this.deeds = session.getMapper(DeedMapper.class);
        this.by = by;
    }

    /** @param project empty for what belongs to none; @param version that it made; null where it made none */
    public void deed(String project, Integer version, String kind, String detail) {
        deeds.insert(
                new DeedRow(Database.now(), project, version, by.person(), by.address(), kind, cut(detail)),
                by.window());
    }

    private static String cut(String detail) {
        return detail.codePointCount(0, detail.length()) <= LONGEST_DETAIL
                ? detail
                : detail.substring(0, detail.offsetByCodePoints(0, LONGEST_DETAIL));
    }
}
