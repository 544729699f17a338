package kolonne.core.work;

/** Told how far a long piece of work has come. */
public interface Progress {
    Progress NONE = (doing, done, total) -> {};

    /**
     * @param doing what it is at, in words
     * @param done  of {@code total}, which is 0 where it cannot be told
     * @throws java.util.concurrent.CancellationException to stop the work
     */
    void at(String doing, int done, int total);
}
