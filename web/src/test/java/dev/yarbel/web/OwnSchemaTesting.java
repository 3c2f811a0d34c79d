package dev.yarbel.web;

import java.sql.SQLException;
import javax.sql.DataSource;

/** What the application does before it migrates, for tests that have a database of their own. */
public final class OwnSchemaTesting {

    private OwnSchemaTesting() {}

    public static void moveOver(DataSource database) throws SQLException {
        OwnSchema.moveOver(database);
    }
}
