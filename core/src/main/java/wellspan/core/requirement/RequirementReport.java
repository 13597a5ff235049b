package wellspan.core.requirement;

import java.util.List;
import wellspan.core.model.ModelObject;

/**
 * What a check of requirements found.
 *
 * @param title of the requirements
 * @param results in the order of the specifications
 */
public record RequirementReport(String title, List<Result> results) {
  public RequirementReport {
    results = List.copyOf(results);
  }

  /** Whether no specification that was looked at fails. */
  public boolean pass() {
    return results.stream().allMatch(Result::pass);
  }

  /**
   * Of one specification.
   *
   * @param skipped whether it is for another schema
   * @param applicable number of objects it applies to
   * @param note why it fails where no object does; empty otherwise
   */
  public record Result(
      Specification specification,
      boolean skipped,
      boolean pass,
      int applicable,
      List<Failure> failures,
      String note) {
    public Result {
      failures = List.copyOf(failures);
    }

    public int passed() {
      return applicable - failures.size();
    }
  }

  /**
   * An object that does not fulfil a specification.
   *
   * @param reason what was found and what was asked for
   */
  public record Failure(ModelObject object, String reason) {}
}
