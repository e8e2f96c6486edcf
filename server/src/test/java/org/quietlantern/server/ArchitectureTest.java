package org.quietlantern.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Mapper;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class ArchitectureTest {
  private static final String HERE = "org.quietlantern.server";
  private static final JavaClasses SERVER =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages(HERE);

  @Test
  void classesWereFound() {
    assertThat(SERVER.size()).isGreaterThan(100);
  }

  @Test
  void everyPackageStandsInTheDrawing() throws IOException {
    String drawing = Files.readString(Path.of("../docs/architecture.md"));
    int rooms = drawing.indexOf("## The rooms of the server");
    String there = drawing.substring(rooms, drawing.indexOf("## ", rooms + 3));
    List<String> packages =
        SERVER.stream()
            .map(JavaClass::getPackageName)
            .filter(name -> name.startsWith(HERE + "."))
            .map(name -> name.substring(HERE.length() + 1).replaceAll("\\..*", ""))
            .distinct()
            .toList();
    assertThat(packages)
        .hasSizeGreaterThan(20)
        .allSatisfy(name -> assertThat(there).containsPattern("\\b" + name + " {2,}\\w"));
  }

  @TestFactory
  Stream<DynamicTest> rules() {
    return Stream.of(
            slices().matching(HERE + ".(*)..").should().beFreeOfCycles(),
            noClasses()
                .that()
                .resideInAPackage(HERE + ".platform..")
                .should()
                .dependOnClassesThat(
                    DescribedPredicate.describe(
                        "belong to a feature",
                        c ->
                            c.getPackageName().startsWith(HERE + ".")
                                && !c.getPackageName().startsWith(HERE + ".platform"))),
            noClasses()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .dependOnClassesThat()
                .areAnnotatedWith(Mapper.class),
            noClasses()
                .that()
                .areAnnotatedWith(Mapper.class)
                .should()
                .bePublic()
                .as("mappers should not be public"),
            noClasses()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .should()
                .bePublic()
                .as("controllers should not be public"),
            noClasses()
                .that()
                .doNotHaveFullyQualifiedName(HERE + ".platform.Outbound")
                .and()
                .resideOutsideOfPackage(HERE + ".platform")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.apache.hc..", "java.net.http.."),
            fields()
                .should()
                .notBeAnnotatedWith("org.springframework.beans.factory.annotation.Autowired"),
            methods()
                .should()
                .notBeAnnotatedWith("org.springframework.scheduling.annotation.Scheduled"),
            methods().should().notDeclareThrowableOfType(Exception.class),
            noClasses().should().callMethod(Thread.class, "sleep", long.class),
            noClasses().should().callMethodWhere(zeroArgumentNow()))
        .map(rule -> DynamicTest.dynamicTest(rule.getDescription(), () -> check(rule)));
  }

  private static DescribedPredicate<com.tngtech.archunit.core.domain.JavaMethodCall>
      zeroArgumentNow() {
    return DescribedPredicate.describe(
        "asks java.time for the present",
        call -> {
          JavaClass owner = call.getTargetOwner();
          return owner.getPackageName().equals("java.time")
              && call.getTarget().getName().equals("now")
              && call.getTarget().getRawParameterTypes().isEmpty();
        });
  }

  private static void check(ArchRule rule) {
    rule.check(SERVER);
  }

  @Test
  void junitFiveIsWhatRuns() {
    assertThat(Test.class.getPackage().getImplementationVersion()).startsWith("5.");
  }
}
