package app.jemble.people;

import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.ibatis.mapping.ResultFlag;
import org.apache.ibatis.mapping.ResultMap;
import org.apache.ibatis.mapping.ResultMapping;
import org.apache.ibatis.session.Configuration;
import org.apache.ibatis.session.SqlSessionFactory;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;

/**
 * Which column becomes which component of a {@link PersonRecord}, worked out once. MyBatis by
 * itself looks for each component's column anew in every row, which for thirty-five components
 * takes longer than the question.
 */
@Component
class PersonRecordMap implements BeanPostProcessor {

  /** The name by which mappers ask for it. */
  static final String NAME = "app.jemble.people.PersonRecord";

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    if (bean instanceof SqlSessionFactory factory) {
      factory.getConfiguration().addResultMap(of(factory.getConfiguration()));
    }
    return bean;
  }

  private static ResultMap of(Configuration configuration) {
    List<ResultMapping> components =
        Arrays.stream(PersonRecord.class.getRecordComponents())
            .map(component -> mapping(configuration, component))
            .toList();
    return new ResultMap.Builder(configuration, NAME, PersonRecord.class, components, false)
        .build();
  }

  /** The name of a component in the answer of a question. */
  static String column(RecordComponent component) {
    return component.getName().replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT);
  }

  private static ResultMapping mapping(Configuration configuration, RecordComponent component) {
    return new ResultMapping.Builder(
            configuration, component.getName(), column(component), component.getType())
        .flags(List.of(ResultFlag.CONSTRUCTOR))
        .build();
  }
}
