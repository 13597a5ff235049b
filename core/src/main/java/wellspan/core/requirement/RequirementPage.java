package wellspan.core.requirement;

import wellspan.core.page.HtmlPage;

/** The report of a check as a page that loads nothing from elsewhere. */
public final class RequirementPage {
  private RequirementPage() {}

  /**
   * @param model name of the file that was checked
   */
  public static String html(RequirementReport report, String model) {
    HtmlPage page = new HtmlPage(report.title(), model);
    long failed = report.results().stream().filter(r -> !r.pass()).count();
    page.verdict(
        report.pass(),
        report.pass()
            ? "Every specification is fulfilled."
            : failed + " of " + report.results().size() + " specifications are not fulfilled.");
    page.table("Specification", "Result", "Applies to", "Passed", "Failed");
    for (RequirementReport.Result r : report.results()) {
      page.row(
          r.specification().name(),
          verdict(r),
          Integer.toString(r.applicable()),
          Integer.toString(r.passed()),
          Integer.toString(r.failures().size()));
    }
    page.endTable();
    for (RequirementReport.Result r : report.results()) {
      page.heading(r.specification().name());
      if (!r.specification().description().isEmpty()) {
        page.paragraph(r.specification().description());
      }
      if (!r.specification().instructions().isEmpty()) {
        page.paragraph(r.specification().instructions());
      }
      page.paragraph(
          verdict(r)
              + (r.skipped()
                  ? ": it is for another schema."
                  : r.note().isEmpty() ? "." : ". " + r.note()));
      if (!r.failures().isEmpty()) {
        page.table("Object", "Class", "GlobalId", "What is not met");
        for (RequirementReport.Failure f : r.failures()) {
          page.row(
              f.object().name().isEmpty() ? "#" + f.object().number() : f.object().name(),
              f.object().entity(),
              f.object().globalId(),
              f.reason());
        }
        page.endTable();
      }
    }
    return page.html();
  }

  private static String verdict(RequirementReport.Result r) {
    return r.skipped() ? "Not run" : r.pass() ? "Fulfilled" : "Not fulfilled";
  }
}
