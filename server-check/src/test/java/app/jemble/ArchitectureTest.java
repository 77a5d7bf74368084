package app.jemble;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import app.jemble.access.Needs;
import app.jemble.core.access.Role;
import app.jemble.core.reach.Address;
import app.jemble.core.reach.Channel;
import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaAnnotation;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.domain.JavaMethodCall;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
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

  /** Claims, guards, journal and lists are the same for every way; carriers alone differ. */
  @Test
  public void theOutboxNamesNoChannel() {
    ArchRule none =
        noClasses()
            .that()
            .resideInAnyPackage("app.jemble.outbox..", "app.jemble.departure..")
            .should(nameAChannel());
    none.check(server);
    assertThat(
            server.stream()
                .filter(c -> c.getPackageName().startsWith("app.jemble.carrier"))
                .anyMatch(ArchitectureTest::namesAChannel))
        .as("carriers do")
        .isTrue();
    List<String> statements =
        server.stream()
            .filter(c -> c.getPackageName().startsWith("app.jemble.outbox"))
            .flatMap(c -> c.getMethods().stream())
            .flatMap(m -> statements(m).stream())
            .toList();
    assertThat(statements).hasSizeGreaterThan(30);
    assertThat(statements)
        .noneMatch(
            sql -> Arrays.stream(Channel.values()).anyMatch(c -> sql.contains("'" + c + "'")));
  }

  private static ArchCondition<JavaClass> nameAChannel() {
    return new ArchCondition<>("name a channel") {
      @Override
      public void check(JavaClass one, ConditionEvents events) {
        if (namesAChannel(one)) {
          events.add(SimpleConditionEvent.satisfied(one, one.getName() + " names a channel"));
        }
      }
    };
  }

  private static boolean namesAChannel(JavaClass one) {
    boolean constant =
        one.getFieldAccessesFromSelf().stream()
            .anyMatch(
                access ->
                    access.getTargetOwner().isEquivalentTo(Channel.class)
                        && !access.getName().startsWith("$"));
    boolean address =
        one.getDirectDependenciesFromSelf().stream()
            .anyMatch(
                on ->
                    on.getTargetClass().isAssignableTo(Address.class)
                        && !on.getTargetClass().isEquivalentTo(Address.class));
    return constant || address;
  }

  private static List<String> statements(JavaMethod method) {
    return Stream.of(Select.class, Insert.class, Update.class, Delete.class)
        .flatMap(kind -> method.tryGetAnnotationOfType(kind.getName()).stream())
        .flatMap(a -> a.get("value").stream())
        .flatMap(value -> Arrays.stream((Object[]) value))
        .map(String::valueOf)
        .toList();
  }

  @Test
  public void onlyTheCarrierOfMailSpeaksSmtpAndOnlyWhatComesInReadsMail() {
    noClasses()
        .that()
        .resideOutsideOfPackages("app.jemble.carrier.mail..", "app.jemble.inbound..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("jakarta.mail..", "org.eclipse.angus..")
        .check(server);
  }

  @Test
  public void theOutboxKnowsNoMailingAndNoMailServer() {
    noClasses()
        .that()
        .resideInAPackage("app.jemble.outbox..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "app.jemble.carrier.mail..",
            "app.jemble.cause..",
            "app.jemble.mailing..",
            "app.jemble.people..",
            "app.jemble.response..")
        .check(server);
  }

  /** Whoever reaches what can be private has asked whether it is open: no path forgets. */
  @Test
  public void whatCanBePrivateIsFoundByItsLoaderAlone() {
    Map<String, String> loaders =
        Map.of(
            "app.jemble.cause.CauseMapper", "app.jemble.cause.OpenCauses",
            "app.jemble.template.TemplateMapper", "app.jemble.template.OpenTemplates",
            "app.jemble.series.SeriesMapper", "app.jemble.series.OpenSeries",
            "app.jemble.exchange.ImportMapper", "app.jemble.exchange.OpenImports");
    loaders.forEach(
        (mapper, loader) -> {
          assertThat(server.contain(mapper) && server.contain(loader)).as(mapper).isTrue();
          noClasses()
              .that()
              .doNotHaveFullyQualifiedName(loader)
              .should()
              .callMethodWhere(
                  DescribedPredicate.describe(
                      "finds unasked",
                      call ->
                          call.getTargetOwner().getFullName().equals(mapper)
                              && List.of("find", "findLocked").contains(call.getName())))
              .check(server);
        });
  }

  /** What a role may is weighed in core; elsewhere it is laid down, kept and told. */
  @Test
  public void nobodyButCoreDecidesByARole() {
    noClasses()
        .that()
        .resideOutsideOfPackages("app.jemble.core.access..", "app.jemble.role..")
        .and()
        .doNotHaveSimpleName("SessionController")
        .should()
        .callMethodWhere(
            DescribedPredicate.describe(
                "weighs a role",
                call ->
                    call.getTargetOwner().isEquivalentTo(Role.class)
                        && List.of("has", "rights", "limits").contains(call.getName())))
        .check(server);
  }

  /** A question that writes is asked anew each time, were it twice the same in one transaction. */
  @Test
  public void noStatementThatWritesIsAnsweredFromMemory() {
    int writing = 0;
    for (JavaClass mapper : server) {
      for (JavaMethod method : mapper.getMethods()) {
        if (method.isAnnotatedWith(Select.class)
            && method.getAnnotationOfType(Select.class).affectData()) {
          assertThat(method.isAnnotatedWith(Options.class)).as(method.getFullName()).isTrue();
          assertThat(method.getAnnotationOfType(Options.class).flushCache())
              .as(method.getFullName())
              .isEqualTo(Options.FlushCachePolicy.TRUE);
          writing++;
        }
      }
    }
    assertThat(writing).isGreaterThan(20);
  }

  /**
   * Whoever asks an operation of the API has the right that it names; one without is not served.
   */
  @Test
  public void everyOperationNamesTheRightThatItNeeds() {
    methods()
        .that(areOperationsOfTheApi())
        .should()
        .beAnnotatedWith(Needs.class)
        .allowEmptyShould(false)
        .check(server);
  }

  private static DescribedPredicate<JavaMethod> areOperationsOfTheApi() {
    return DescribedPredicate.describe(
        "are operations of the API",
        method -> {
          String ofAll = path(method.getOwner().getAnnotations().stream());
          return method.getAnnotations().stream()
              .filter(a -> a.getRawType().getSimpleName().endsWith("Mapping"))
              .anyMatch(a -> (ofAll + path(Stream.of(a))).startsWith("/api"));
        });
  }

  private static String path(Stream<? extends JavaAnnotation<?>> annotations) {
    return annotations
        .filter(a -> a.getRawType().getSimpleName().endsWith("Mapping"))
        .flatMap(a -> Stream.of("value", "path").map(a::get))
        .map(Optional::get)
        .flatMap(paths -> Stream.of((Object[]) paths))
        .map(Object::toString)
        .findFirst()
        .orElse("");
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
        // The pool of colleagues with people of their own hands on what others have put together.
        .resideOutsideOfPackages("app.jemble.storage..", "app.jemble.pool..", "app.jemble.demo..")
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
