package org.quietlantern.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class ArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.quietlantern.core");

  @Test
  void classesWereFound() {
    assertThat(CORE.size()).isGreaterThan(60);
  }

  @TestFactory
  Stream<DynamicTest> rules() {
    return Stream.of(
            classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                    "org.quietlantern.core..",
                    "java..",
                    "javax.xml..",
                    "org.w3c.dom..",
                    "org.xml.sax..",
                    "org.apache.lucene..",
                    "org.tartarus.snowball..",
                    "org.apache.commons.csv..",
                    "org.apache.commons.math3..",
                    "org.apache.commons.validator..",
                    "org.eclipse.rdf4j..",
                    "com.apicatalog..",
                    "com.github.difflib..",
                    "org.marc4j..",
                    "jakarta.json..",
                    "org.apache.poi..",
                    "org.apache.pdfbox..",
                    "org.jsoup..",
                    "com.rometools..",
                    "org.jdom2..",
                    "org.openxmlformats..",
                    "org.apache.xmlbeans..",
                    "org.roaringbitmap..",
                    "com.github.benmanes.caffeine.."),
            noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "java.net.."),
            slices().matching("org.quietlantern.core.(*)..").should().beFreeOfCycles(),
            noClasses()
                .that()
                .resideOutsideOfPackage("org.quietlantern.core.search..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.apache.lucene.."),
            noClasses()
                .that()
                .resideOutsideOfPackage("org.quietlantern.core.text..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.apache.pdfbox..", "org.jsoup.."),
            noClasses()
                .that()
                .resideOutsideOfPackage("org.quietlantern.core.newsfeed..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("com.rometools..", "org.jdom2.."),
            noClasses()
                .that()
                .resideOutsideOfPackage("org.quietlantern.core.vocabulary..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.eclipse.rdf4j.."),
            noClasses()
                .that()
                .resideInAPackage("org.quietlantern.core.search.analysis..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("org.quietlantern.core.search")
                .as("words are made without an index"),
            noClasses().should().callMethod(java.time.Instant.class, "now"),
            noClasses().should().callMethod(java.time.LocalDate.class, "now"),
            noClasses().should().callMethod(Thread.class, "sleep", long.class),
            methods().should().notDeclareThrowableOfType(Exception.class).allowEmptyShould(false))
        .map(rule -> DynamicTest.dynamicTest(rule.getDescription(), () -> check(rule)));
  }

  private static void check(ArchRule rule) {
    rule.check(CORE);
  }
}
