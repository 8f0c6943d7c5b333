package wiselarder.server.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.transaction.TransactionSystemException;
import wiselarder.server.problem.ServerReason;

/** What is said of a fault of the database. */
class DatabaseTroubleTest {
  @ParameterizedTest
  @CsvSource({
    "08006, DATABASE_DOWN", // the connection broke
    "57P01, DATABASE_DOWN", // it is shut down
    "57P03, DATABASE_DOWN", // it starts
    "53300, DATABASE_DOWN", // no connection is left
    "53100, DISK_FULL",
  })
  void itIsSaidInPlainWords(String state, ServerReason reason) {
    SQLException fault = new SQLException("x", state);
    assertThat(DatabaseTrouble.of(new IllegalStateException("y", fault)))
        .hasValueSatisfying(t -> assertThat(t.reason()).isEqualTo(reason));
  }

  @Test
  void whatCouldNotBeRolledBackIsSaidByItsCause() {
    TransactionSystemException fault =
        new TransactionSystemException("rollback", new SQLException("closed"));
    fault.initApplicationException(new IllegalStateException(new SQLException("x", "57P01")));
    assertThat(DatabaseTrouble.of(fault))
        .hasValueSatisfying(t -> assertThat(t.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE));
  }

  /** Where a commit breaks, only the rollback after it is told, on a connection that is closed. */
  @Test
  void aCommitThatBrokeIsADatabaseThatIsDown() {
    assertThat(
            DatabaseTrouble.of(
                new TransactionSystemException(
                    "JDBC rollback failed", new SQLException("Connection is closed"))))
        .hasValueSatisfying(t -> assertThat(t.status()).isEqualTo(HttpStatus.SERVICE_UNAVAILABLE));
  }

  @Test
  void aPoolThatIsEmptyIsADatabaseThatIsDown() {
    assertThat(DatabaseTrouble.of(new SQLTransientConnectionException("no connection")))
        .isPresent();
  }

  /** A mistake of the program's own is none of the database's. */
  @ParameterizedTest
  @CsvSource({"23505", "42601", "22P02"})
  void mistakesAreNoTrouble(String state) {
    assertThat(DatabaseTrouble.of(new SQLException("x", state))).isEmpty();
    assertThat(DatabaseTrouble.of(new IllegalStateException("x"))).isEmpty();
  }

  /** The session is stored as an answer is written: what fails there is the database's too. */
  @Test
  void anAnswerThatIsNotWrittenBecauseOfTheDatabaseIsSaidSo() {
    UnwrittenAnswers answers = new UnwrittenAnswers();
    HttpMessageNotWritableException unwritten =
        new HttpMessageNotWritableException(
            "x", new IllegalStateException(new SQLException("y", "57P01")));
    assertThatThrownBy(() -> answers.resolveException(null, null, null, unwritten))
        .isSameAs(unwritten);
    assertThat(DatabaseTrouble.of(unwritten)).isPresent();
    HttpMessageNotWritableException mistake = new HttpMessageNotWritableException("x");
    assertThat(answers.resolveException(null, null, null, mistake)).isNull();
  }
}
