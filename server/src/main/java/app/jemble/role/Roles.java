package app.jemble.role;

import app.jemble.core.access.Right;
import app.jemble.core.access.Role;
import app.jemble.core.access.RoleRule;
import app.jemble.problem.Problem;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The roles of the house. There is always somebody who can change them. */
@Service
public class Roles {

  private final RoleMapper mapper;

  Roles(RoleMapper mapper) {
    this.mapper = mapper;
  }

  /** Who may most first. */
  public List<Role> all() {
    return mapper.all().stream().map(RoleRow::role).toList();
  }

  public Optional<Role> find(long id) {
    return all().stream().filter(r -> r.id() == id).findFirst();
  }

  /** The role of the first who signs in: the one that may most. */
  public Role first() {
    return all().get(0);
  }

  /** By id, how many colleagues have it. */
  public Map<Long, Long> holders() {
    return mapper.holders().stream()
        .collect(Collectors.toMap(RoleMapper.Holders::roleId, RoleMapper.Holders::colleagues));
  }

  /** The names of those who can sign in and have a right. */
  public List<String> who(Right right) {
    return who().getOrDefault(right.name(), List.of());
  }

  /** By the name of a right, the names of those who can sign in and have it. */
  public Map<String, List<String>> who() {
    return mapper.rightHolders().stream()
        .collect(
            Collectors.groupingBy(
                RoleMapper.RightHolder::held,
                Collectors.mapping(RoleMapper.RightHolder::name, Collectors.toList())));
  }

  @Transactional
  public Role add(Role wanted) {
    Role role = tidy(wanted);
    Long id = mapper.add(RoleRow.of(role));
    if (id == null) {
      throw nameTaken(role);
    }
    return new Role(id, role.name(), role.rights(), role.limits());
  }

  @Transactional
  public Role change(Role wanted) {
    mapper.lock();
    Role role = tidy(wanted);
    try {
      if (mapper.change(RoleRow.of(role)) == 0) {
        throw notThere();
      }
    } catch (DuplicateKeyException taken) {
      throw nameTaken(role);
    }
    if (who(Right.COLLEAGUES).isEmpty()) {
      throw Problem.conflict(
          "Nobody who can sign in would look after colleagues and roles any more."
              + " Give that to another role first.");
    }
    return role;
  }

  @Transactional
  public void remove(long id) {
    mapper.lock();
    long having = Objects.requireNonNullElse(holders().get(id), 0L);
    if (having > 0) {
      throw Problem.conflict(
          (having == 1 ? "One colleague has" : having + " colleagues have")
              + " this role, or had it when they left. Give them another first.");
    }
    if (mapper.remove(id) == 0) {
      throw notThere();
    }
  }

  private static Role tidy(Role wanted) {
    Role role =
        new Role(
            wanted.id(),
            wanted.name() == null ? "" : wanted.name().strip(),
            wanted.rights(),
            wanted.limits());
    RoleRule.faultOf(role)
        .ifPresent(
            fault -> {
              throw Problem.wrong(fault.field(), fault.sentence());
            });
    return role;
  }

  private static Problem nameTaken(Role role) {
    return Problem.wrong("name", "There is a role called “" + role.name() + "” already.");
  }

  private static Problem notThere() {
    return Problem.notFound("There is no such role.");
  }
}
