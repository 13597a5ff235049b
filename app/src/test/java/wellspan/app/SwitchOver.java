package wellspan.app;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.classfile.ClassFile;
import java.lang.classfile.ClassModel;
import java.lang.classfile.MethodModel;
import java.lang.classfile.instruction.InvokeDynamicInstruction;
import java.lang.constant.ClassDesc;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;

/** Holds of a class that has a {@code switch} by pattern over the cases of a sealed type. */
final class SwitchOver extends ArchCondition<JavaClass> {
  private final Set<ClassDesc> cases;

  SwitchOver(Class<?> sealed) {
    super("switch over the cases of " + sealed.getSimpleName());
    cases =
        Arrays.stream(sealed.getPermittedSubclasses())
            .map(c -> ClassDesc.ofDescriptor(c.descriptorString()))
            .collect(Collectors.toSet());
  }

  @Override
  public void check(JavaClass type, ConditionEvents events) {
    if (type.getSource().isEmpty()) {
      return;
    }
    ClassModel model;
    try (InputStream in = type.getSource().get().getUri().toURL().openStream()) {
      model = ClassFile.of().parse(in.readAllBytes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    for (MethodModel m : model.methods()) {
      boolean found =
          m.code().stream()
              .flatMap(code -> code.elementStream())
              .anyMatch(e -> e instanceof InvokeDynamicInstruction i && isOver(i));
      if (found) {
        String told = type.getName() + "." + m.methodName().stringValue() + " switches";
        events.add(SimpleConditionEvent.satisfied(type, told));
      }
    }
  }

  /** A switch by pattern is a call of this name, with the cases as its arguments. */
  private boolean isOver(InvokeDynamicInstruction i) {
    return i.name().stringValue().equals("typeSwitch")
        && i.bootstrapArgs().stream().anyMatch(a -> a instanceof ClassDesc c && cases.contains(c));
  }
}
