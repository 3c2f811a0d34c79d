package dev.yarbel.web.page;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.CannotCreateTransactionException;

/** Tells a database that is away from everything else that can go wrong. */
public final class DatabaseAway {

    private DatabaseAway() {}

    /** Whether something failed because the database is away. */
    public static boolean isToBlame(Throwable fault) {
        for (Throwable cause = fault; cause != null; cause = cause.getCause()) {
            if (cause instanceof CannotCreateTransactionException
                    || cause instanceof DataAccessResourceFailureException
                    || cause instanceof SQLTransientConnectionException
                    || cause instanceof SQLException sql && isConnectionLost(sql.getSQLState())) {
                return true;
            }
        }
        return false;
    }

    /** SQL:2003 class 08, connection exceptions, and PostgreSQL's class 57P, the server shutting down or starting. */
    private static boolean isConnectionLost(String state) {
        return state != null && (state.startsWith("08") || state.startsWith("57P"));
    }
}
