package app.jemble.workspace;

import app.jemble.core.house.HouseFacts;
import app.jemble.core.house.SetUpStep;
import app.jemble.core.house.StandingWord;
import app.jemble.core.house.StandingWord.About;
import app.jemble.core.message.PublicToken;
import app.jemble.core.message.ShortName;
import app.jemble.core.record.DayOrder;
import app.jemble.core.record.Field;
import app.jemble.core.record.FieldCatalogue;
import app.jemble.core.record.FieldReader;
import app.jemble.core.record.FieldType;
import app.jemble.core.record.FieldUse;
import app.jemble.core.record.Related;
import app.jemble.workspace.WorkspaceMapper.AttributeRow;
import java.security.SecureRandom;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The workspace and its field catalogue. */
@Service
public class WorkspaceService {

  /**
   * A topic of mailings, which people can leave.
   *
   * @param retired whether it is given to nothing any more
   */
  public record Topic(long id, String name, boolean retired) {}

  private static final String UNNAMED = "New workspace";
  private static final String NO_DOMAIN = "localhost.test";
  private static final int SECRET_OCTETS = 32;
  private static final int TOKEN_OCTETS = 16;

  private final WorkspaceMapper mapper;
  private final StandingWords standing;
  private final SecureRandom random = new SecureRandom();
  private volatile byte[] secret;

  WorkspaceService(WorkspaceMapper mapper, StandingWords standing) {
    this.mapper = mapper;
    this.standing = standing;
  }

  /** The workspace; a new database gets a plain one, to be named in the settings. */
  public Workspace current() {
    Workspace workspace = mapper.find();
    if (workspace != null) {
      return workspace;
    }
    create(
        new Workspace(
            UNNAMED, "", "Europe/London", "en-GB", NO_DOMAIN, 30, null, null, null, null, null));
    return mapper.find();
  }

  /** What public tokens are sealed with; it never changes. */
  public byte[] secret() {
    byte[] known = secret;
    if (known == null) {
      known = current().secret();
      secret = known;
    }
    return known;
  }

  /** Whether colleagues must have a second factor. */
  public boolean isSecondFactorDemanded() {
    return Boolean.TRUE.equals(mapper.isSecondFactorDemanded());
  }

  public void demandSecondFactor(boolean demanded) {
    mapper.demandSecondFactor(demanded);
  }

  /** Whether the house has said who it is, and where its mail comes back. */
  public boolean isNamed() {
    Workspace now = current();
    return !now.name().equals(UNNAMED) && !now.postalAddress().isBlank() && hasMailDomain();
  }

  /** Whether it is said where its mail comes back. */
  public boolean hasMailDomain() {
    return !current().returnDomain().equals(NO_DOMAIN);
  }

  /** What of the set-up was left for later. */
  public Set<SetUpStep> setUpLater() {
    return mapper.setUpLater().stream().map(SetUpStep::valueOf).collect(Collectors.toSet());
  }

  public void leaveForLater(Set<SetUpStep> steps) {
    mapper.leaveForLater(steps.stream().map(SetUpStep::name).sorted().toArray(String[]::new));
  }

  /** By which name the key of the mail server is found (RFC 6376 section 3.1); empty: unsaid. */
  public String keySelector() {
    current();
    return mapper.keySelector();
  }

  public void nameKey(String selector) {
    mapper.nameKey(selector);
  }

  /** For how many months the history is kept. */
  public int historyMonths() {
    current();
    return mapper.historyMonths();
  }

  public void keepHistory(int months) {
    mapper.keepHistory(months);
  }

  /** A public token for a new message: says nothing, and cannot be guessed. */
  public String newToken() {
    byte[] octets = new byte[TOKEN_OCTETS];
    random.nextBytes(octets);
    return PublicToken.of(octets, secret());
  }

  /** Whether what stands in a public link can name a message of ours. */
  public boolean mayName(String token) {
    return ShortName.isOne(token) || PublicToken.isGenuine(token, secret());
  }

  /** Creates the workspace with a secret of its own, unless there is one. */
  public void create(Workspace wanted) {
    byte[] secret = new byte[SECRET_OCTETS];
    random.nextBytes(secret);
    mapper.create(
        new Workspace(
            wanted.name(),
            wanted.postalAddress(),
            wanted.zone(),
            wanted.language(),
            wanted.returnDomain(),
            wanted.holdSeconds(),
            secret,
            wanted.houseEmail(),
            null,
            null,
            null));
  }

  /** Every field by name, the workspace's attributes among them. */
  public FieldCatalogue fields() {
    Map<About, List<StandingWord>> words = standing.all();
    return FieldCatalogue.standard()
        .choosing("plan", mapper.plans())
        .choosing(About.STATUS.field(), StandingWord.names(words.get(About.STATUS)))
        .choosing(About.STAGE.field(), StandingWord.names(words.get(About.STAGE)))
        .choosingAround(Related.TASK, About.TASK.field(), StandingWord.names(words.get(About.TASK)))
        .choosingAround(
            Related.OFFICE, About.OFFICE.field(), StandingWord.names(words.get(About.OFFICE)))
        .choosingAround(
            Related.OFFICE, StandingWord.GROUP_FIELD, StandingWord.groups(words.get(About.OFFICE)))
        .plus(mapper.attributes().stream().map(WorkspaceService::field).toList());
  }

  /**
   * Choices of a field that are given to nobody any more.
   *
   * @param around whose field it is; null for people
   */
  public List<String> retired(Related around, String field) {
    if (around == null && field.equals("plan")) {
      return mapper.retiredPlans();
    }
    return About.of(around, field)
        .map(about -> StandingWord.retired(standing.all().get(about)))
        .orElse(List.of());
  }

  /** Words that are still given, in their order. */
  public List<String> given(About about) {
    return StandingWord.given(standing.all().get(about));
  }

  /** What a task is of that is made by itself. */
  public String usualKindOfTask() {
    return StandingWord.usual(standing.all().get(About.TASK));
  }

  /** The status that somebody has who becomes a member. */
  public String statusOfNewMembers() {
    return standing.ofNewMembers();
  }

  /** Reads values as they are typed here: days in the order of the workspace's language. */
  public FieldReader reader() {
    return reader(current().dayOrder());
  }

  /** Reads values as people of this workspace write them, days in the order of a file. */
  public FieldReader reader(DayOrder days) {
    Workspace house = current();
    return new FieldReader(house.zoneId(), house.region(), house.currency(), days);
  }

  public void addAttribute(Field attribute) {
    addAttribute(attribute, false);
  }

  /**
   * Adds a field of people.
   *
   * @param required whether every person must have a value; people on record before are left alone
   */
  public void addAttribute(Field attribute, boolean required) {
    mapper.addAttribute(row(attribute, required));
  }

  /** Changes an attribute's label, choices, or whether it is required; false when there is none. */
  public boolean changeAttribute(Field attribute, boolean required) {
    return mapper.changeAttribute(row(attribute, required)) > 0;
  }

  /** Takes an attribute out of the catalogue; the values stay with the people. */
  public boolean removeAttribute(String name) {
    return mapper.removeAttribute(name) > 0;
  }

  /** An attribute and whether it is required. */
  public record Attribute(Field field, boolean required) {}

  public List<Attribute> attributes() {
    return mapper.attributes().stream().map(r -> new Attribute(field(r), r.required())).toList();
  }

  /** The names of the attributes that every person must have a value of. */
  public List<String> requiredAttributes() {
    return attributes().stream().filter(Attribute::required).map(a -> a.field().name()).toList();
  }

  private static AttributeRow row(Field attribute, boolean required) {
    return new AttributeRow(
        attribute.name(),
        attribute.label(),
        attribute.type().name(),
        attribute.choices(),
        required);
  }

  public List<Topic> topics() {
    return mapper.topics().stream().map(t -> new Topic(t.id(), t.name(), t.isRetired())).toList();
  }

  /** The plans that members can have, as they are offered. */
  public List<String> plans() {
    return mapper.plans();
  }

  /** Adds a plan behind those there are; one that is there already stays where it is. */
  public void addPlan(String name) {
    mapper.addPlan(name);
  }

  /** Changes what the house says of itself; the secret stays. */
  public void change(HouseFacts wanted) {
    Locale language = Locale.forLanguageTag(wanted.language());
    mapper.change(
        new Workspace(
            wanted.name(),
            wanted.address(),
            wanted.zone(),
            language.toLanguageTag(),
            wanted.mailDomain().toLowerCase(Locale.ROOT),
            wanted.holdSeconds(),
            secret(),
            wanted.email(),
            wanted.currency(),
            wanted.dayOrder(),
            wanted.weekStart()));
  }

  public void addTopic(String name) {
    mapper.addTopic(name);
  }

  private static Field field(AttributeRow row) {
    return new Field(
        row.name(),
        row.label(),
        FieldType.valueOf(row.type()),
        row.choices(),
        Set.of(FieldUse.values()));
  }
}
