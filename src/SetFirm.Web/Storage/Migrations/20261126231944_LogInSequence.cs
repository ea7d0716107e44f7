using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace SetFirm.Web.Storage.Migrations
{
    /// <summary>Numbers the lines of each job's log in the order in which they came, and says them as events.</summary>
    public partial class LogInSequence : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            // A table whose key changes is made anew.
            migrationBuilder.Sql(
                """
                ALTER TABLE Log RENAME TO LogBefore;
                DROP INDEX IX_Log_JobId_At;
                CREATE TABLE Log (
                    JobId TEXT NOT NULL,
                    Seq INTEGER NOT NULL,
                    Id TEXT NOT NULL,
                    At INTEGER NOT NULL,
                    ReceivedAt INTEGER NOT NULL,
                    Entry TEXT NOT NULL,
                    CONSTRAINT PK_Log PRIMARY KEY (JobId, Seq),
                    CONSTRAINT FK_Log_Jobs_JobId FOREIGN KEY (JobId) REFERENCES Jobs (Id) ON DELETE RESTRICT
                );
                CREATE UNIQUE INDEX IX_Log_JobId_Id ON Log (JobId, Id);
                INSERT INTO Log (JobId, Seq, Id, At, ReceivedAt, Entry)
                SELECT JobId, ROW_NUMBER() OVER (PARTITION BY JobId ORDER BY ReceivedAt, At, Id), Id, At, ReceivedAt,
                    CASE json_extract(Entry, '$.kind')
                        WHEN 'covered' THEN json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'coverOn')
                        WHEN 'uncovered' THEN json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'coverOff')
                        WHEN 'formsOff' THEN json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'boardsOff')
                        WHEN 'wetted' THEN json_remove(Entry, '$.product', '$.strikes')
                        WHEN 'coated' THEN CASE
                            WHEN json_extract(Entry, '$.product') IS NULL THEN json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'noted')
                            ELSE json_remove(Entry, '$.strikes') END
                        ELSE CASE
                            WHEN json_extract(Entry, '$.strikes') IS NULL THEN json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'noted')
                            ELSE json_set(json_remove(Entry, '$.product', '$.strikes'), '$.kind', 'withdrawn', '$.line', json_extract(Entry, '$.strikes')) END
                    END
                FROM LogBefore;
                DROP TABLE LogBefore;
                """);
        }

        /// <summary>Not undone: what came since could not be said as before.</summary>
        protected override void Down(MigrationBuilder migrationBuilder) => throw new System.NotSupportedException();
    }
}
