package app.jemble.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Set;
import org.testng.annotations.Test;

public class FieldCatalogueTest {

  private final FieldCatalogue standard = FieldCatalogue.standard();

  @Test
  public void suggestsTheNameThatWasLikelyMeant() {
    assertThat(standard.suggest("frist_name", FieldUse.MERGE)).contains("first_name");
    assertThat(standard.suggest("organization.name", FieldUse.MERGE)).contains("organisation.name");
    assertThat(standard.suggest("zzzzzzzzzzzz", FieldUse.MERGE)).isEmpty();
  }

  @Test
  public void suggestsOnlyNamesOfThatUse() {
    assertThat(standard.suggest("tagss", FieldUse.FILTER)).contains("tags");
    assertThat(standard.suggest("tagss", FieldUse.MERGE)).isEmpty();
  }

  @Test
  public void attributesJoinTheFields() {
    Field berth =
        new Field("berth_name", "Berth", FieldType.TEXT, List.of(), Set.of(FieldUse.MERGE));
    assertThat(standard.plus(List.of(berth)).find("berth_name")).contains(berth);
    assertThat(standard.find("berth_name")).isEmpty();
  }

  @Test
  public void refusesTwoFieldsOfOneName() {
    Field again = new Field("plan", "Plan", FieldType.TEXT, List.of(), Set.of());
    assertThatThrownBy(() -> standard.plus(List.of(again))).hasMessageContaining("plan");
  }

  @Test
  public void refusesNamesThatATemplateCouldNotSay() {
    assertThatThrownBy(() -> new Field("Last Name", "x", FieldType.TEXT, List.of(), Set.of()))
        .hasMessageContaining("Last Name");
  }

  @Test
  public void foldingDropsCaseAndAccents() {
    assertThat(Words.fold("Zoë ÅNGSTRÖM")).isEqualTo("zoe angstrom");
    assertThat(Words.fold("ﬁn")).isEqualTo("fin");
  }
}
