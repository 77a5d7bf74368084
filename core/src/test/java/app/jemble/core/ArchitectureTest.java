package app.jemble.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.text.DecimalFormat;
import java.text.NumberFormat;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import org.testng.annotations.Test;

/** What core may lean on: the JDK, and what docs/decisions.md gives a reason for. */
public class ArchitectureTest {

  private final JavaClasses core =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("app.jemble.core");

  @Test
  public void coreLeansOnTheJdkAndFewPackagesAlone() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage(
            "app.jemble.core..",
            "java..",
            "javax.crypto..",
            "org.w3c.dom..",
            "org.jsoup..",
            "com.google.i18n.phonenumbers..",
            "com.eatthepath.otp..",
            "org.apache.commons.codec.binary..")
        .check(core);
  }

  @Test
  public void coreReadsNoClockZoneFileOrNetworkOfItsOwn() {
    noClasses().should().callMethod(Instant.class, "now").check(core);
    noClasses().should().callMethod(LocalDate.class, "now").check(core);
    noClasses().should().callMethod(LocalDateTime.class, "now").check(core);
    noClasses().should().callMethod(System.class, "currentTimeMillis").check(core);
    noClasses().should().callMethod(ZoneId.class, "systemDefault").check(core);
    noClasses().should().dependOnClassesThat().areAssignableTo(Clock.class).check(core);
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.io..", "java.nio.file..", "java.net.http..", "java.sql..")
        .check(core);
  }

  /** A text must not change with the language of the machine on which it is made. */
  @Test
  public void coreReadsNoLanguageOfTheMachine() {
    noClasses().should().callMethod(Locale.class, "getDefault").check(core);
    noClasses()
        .should()
        .callMethod(String.class, "format", String.class, Object[].class)
        .check(core);
    noClasses().should().callMethod(String.class, "formatted", Object[].class).check(core);
    noClasses().should().callMethod(String.class, "toLowerCase").check(core);
    noClasses().should().callMethod(String.class, "toUpperCase").check(core);
    noClasses().should().callMethod(DateTimeFormatter.class, "ofPattern", String.class).check(core);
    noClasses().should().callConstructor(DecimalFormat.class, String.class).check(core);
    noClasses().should().callMethod(NumberFormat.class, "getInstance").check(core);
  }

  @Test
  public void packagesHaveNoCycle() {
    slices().matching("app.jemble.core.(*)..").should().beFreeOfCycles().check(core);
  }
}
