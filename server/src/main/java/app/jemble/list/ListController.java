package app.jemble.list;

import app.jemble.access.Needs;
import app.jemble.core.access.Right;
import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lists by name. People are put on them by acts on a selection. */
@RestController
@RequestMapping("/api/lists")
class ListController {

  record ListName(String name) {}

  record ListMade(long id) {}

  private final PersonLists lists;

  ListController(PersonLists lists) {
    this.lists = lists;
  }

  @Needs(Right.SEE)
  @GetMapping
  List<PersonLists.PersonList> all() {
    return lists.all();
  }

  @Needs(Right.WORK)
  @PostMapping
  ListMade create(@RequestBody ListName list) {
    return new ListMade(lists.create(list.name()));
  }

  @Needs(Right.WORK)
  @PutMapping("/{id}")
  void rename(@PathVariable long id, @RequestBody ListName list) {
    lists.rename(id, list.name());
  }

  @Needs(Right.WORK)
  @DeleteMapping("/{id}")
  void delete(@PathVariable long id) {
    lists.delete(id);
  }
}
