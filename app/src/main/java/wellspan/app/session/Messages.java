package wellspan.app.session;

import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** The last thing worth saying, as a sentence. Window's thread. */
public final class Messages {
  private final ReadOnlyStringWrapper sentence = new ReadOnlyStringWrapper("");
  private final ReadOnlyBooleanWrapper complaint = new ReadOnlyBooleanWrapper();

  Messages() {}

  void say(String words) {
    complaint.set(false);
    sentence.set(words);
  }

  void complain(String words) {
    complaint.set(true);
    sentence.set(words);
  }

  public ReadOnlyStringProperty sentenceProperty() {
    return sentence.getReadOnlyProperty();
  }

  /** Whether it says that something could not be done. */
  public ReadOnlyBooleanProperty complaintProperty() {
    return complaint.getReadOnlyProperty();
  }
}
