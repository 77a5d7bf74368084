package app.jemble;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.List;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The arrows of the house: web to API to server to core, and subjects through services. */
public class ArchitectureTest {

  private JavaClasses server;

  @BeforeClass
  public void read() {
    server =
        new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("app.jemble")
            .that(
                DescribedPredicate.describe(
                    "are of the server",
                    c -> !c.getPackageName().startsWith("app.jemble.standins")));
  }

  @Test
  public void noSubjectReachesIntoAnothersMapper() {
    classes()
        .that()
        .haveSimpleNameEndingWith("Mapper")
        .should(beUsedInTheirPackageAlone())
        .check(server);
  }

  @Test
  public void controllersDecideNothingThatCoreDecides() {
    noClasses()
        .that()
        .haveSimpleNameEndingWith("Controller")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("app.jemble.core.merge..", "app.jemble.core.pace..")
        .because("services ask core; only escaping for a page may stand in a controller")
        .allowEmptyShould(false)
        .check(server.that(areNot("MarkController")));
  }

  @Test
  public void onlyTheCarrierOfMailSpeaksSmtpAndOnlyWhatComesInReadsMail() {
    noClasses()
        .that()
        .resideOutsideOfPackages(
            "app.jemble.carrier.mail..", "app.jemble.inbound..", "app.jemble.outbox..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("jakarta.mail..", "org.eclipse.angus..")
        .check(server);
  }

  @Test
  public void theOutboxKnowsNoMailing() {
    noClasses()
        .that()
        .resideInAPackage("app.jemble.outbox..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("app.jemble.mailing..", "app.jemble.people..", "app.jemble.response..")
        .check(server);
  }

  /** Whoever reaches a mailing has asked whether it is open to the colleague: no path forgets. */
  @Test
  public void aMailingIsFoundInOnePlaceAlone() {
    noClasses()
        .that()
        .doNotHaveFullyQualifiedName("app.jemble.mailing.OpenMailings")
        .should()
        .callMethodWhere(
            DescribedPredicate.describe(
                "finds a mailing unasked",
                call ->
                    call.getTargetOwner().getFullName().equals("app.jemble.mailing.MailingMapper")
                        && List.of("find", "findLocked").contains(call.getName())))
        .check(server);
  }

  /** Statements are constants of a mapper or made by {@code Sql}; the compiler holds the rest. */
  @Test
  public void noStatementIsPutTogetherButAsSql() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.apache.ibatis.scripting.xmltags..", "ognl..")
        .orShould()
        .dependOnClassesThat()
        .haveNameMatching("org\\.apache\\.ibatis\\.annotations\\.\\w+Provider")
        .orShould()
        .dependOnClassesThat()
        .haveFullyQualifiedName("org.springframework.jdbc.core.JdbcTemplate")
        .check(server);
    noClasses()
        .that()
        .resideOutsideOfPackages("app.jemble.storage..", "app.jemble.demo..")
        .should()
        .callMethodWhere(isAStatement())
        .orShould()
        .dependOnClassesThat()
        .haveFullyQualifiedName("org.springframework.jdbc.core.simple.JdbcClient")
        .check(server);
  }

  private static DescribedPredicate<JavaMethodCall> isAStatement() {
    return DescribedPredicate.describe(
        "hands a text to the database",
        call ->
            call.getTargetOwner().isAssignableTo(java.sql.Connection.class)
                    && call.getName().startsWith("prepare")
                || call.getTargetOwner().isAssignableTo(java.sql.Statement.class)
                    && call.getName().startsWith("execute"));
  }

  @Test
  public void timeComesFromTheOneClock() {
    noClasses()
        .that()
        .resideInAPackage("app.jemble..")
        .should()
        .callMethod(java.time.Instant.class, "now")
        .orShould()
        .callMethod(java.time.LocalDate.class, "now")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .check(server);
  }

  private static DescribedPredicate<JavaClass> areNot(String name) {
    return DescribedPredicate.describe("are not " + name, c -> !c.getSimpleName().equals(name));
  }

  private static ArchCondition<JavaClass> beUsedInTheirPackageAlone() {
    return new ArchCondition<>("be used in their package alone") {
      @Override
      public void check(JavaClass mapper, ConditionEvents events) {
        mapper
            .getDirectDependenciesToSelf()
            .forEach(
                use -> {
                  JavaClass user = use.getOriginClass();
                  if (!user.getPackageName().equals(mapper.getPackageName())) {
                    events.add(SimpleConditionEvent.violated(use, use.getDescription()));
                  }
                });
      }
    };
  }
}
