package org.quietlantern.server.upkeep;

import org.quietlantern.server.group.Member;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The installation, for stewards. */
@RestController
@RequestMapping("/api/groups/{group}/house")
class HouseController {
  private final House house;

  /** {@code mend}: whether what is derived and not so is put right. */
  record CheckWanted(boolean mend) {}

  record HouseName(String name) {}

  HouseController(House house) {
    this.house = house;
  }

  /** How it is. */
  @GetMapping
  House.HouseShown house(Member me) {
    return house.shown(me);
  }

  /** What the people who run it call it. */
  @PutMapping
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void call(Member me, @RequestBody HouseName body) {
    house.call(me, body.name());
  }

  /** Has everything that is derived held against what it is derived from. */
  @PostMapping("/check")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void check(Member me, @RequestBody CheckWanted body) {
    house.check(me, body.mend());
  }

  /** Letters that could not be sent, the last first, fifty at a time. */
  @GetMapping("/letters")
  House.LettersPage letters(Member me, @RequestParam(defaultValue = "0") int from) {
    return house.letters(me, from);
  }

  /** Has a job run at the next chance. */
  @PostMapping("/jobs/{job}/again")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void again(Member me, @PathVariable String job) {
    house.again(me, job);
  }
}
