package dev.yarbel.web.page;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Tells every copy of the application that something moved on a lifter's floor. It goes through the database, with the
 * transaction it is told in: nothing is heard of what was not kept.
 */
@Component
public class FloorNotifier {

    /** The channel it is told on; what is told is {@code club/lifter/cause}. */
    public static final String CHANNEL = "yarbel_floor";

    /** The cause of what is told when somebody's access changed. */
    public static final String ACCESS = "access";

    private final JdbcClient jdbc;

    FloorNotifier(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Tells that something moved; heard when the transaction commits. */
    public void tell(long clubId, long lifterId) {
        tell(clubId, lifterId, "");
    }

    /**
     * Tells that something moved; heard when the transaction commits.
     *
     * @param cause the token of the set that did it, by which the phone that sent it knows its own
     */
    public void tell(long clubId, long lifterId, UUID cause) {
        tell(clubId, lifterId, cause.toString());
    }

    /** Tells that who may see what has changed in a club; heard when the transaction commits. */
    public void tellAccess(long clubId) {
        tell(clubId, 0, ACCESS);
    }

    private void tell(long clubId, long lifterId, String cause) {
        jdbc.sql("select pg_notify(:channel, :what)")
                .param("channel", CHANNEL)
                .param("what", clubId + "/" + lifterId + "/" + cause)
                .query()
                .singleRow();
    }
}
