package org.quietlantern.server.bibliography;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.quietlantern.core.activity.Aspect;
import org.quietlantern.server.action.CommandKind;
import org.quietlantern.server.action.CommandKinds;
import org.quietlantern.server.action.CommandResult;
import org.quietlantern.server.action.Commands;
import org.quietlantern.server.action.Subject;
import org.quietlantern.server.citing.Citing;
import org.quietlantern.server.citing.StyleChoice;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.springframework.stereotype.Service;

/** In which style, language and order the bibliography of a folder stands. */
@Service
public class BibliographySettings implements CommandKinds {
  private final CommandKind<BibliographySet, BibliographyMapper.SetRow> set =
      CommandKind.of(
          "bibliography.set", BibliographySet.class, BibliographyMapper.SetRow.class, this::back);

  private final BibliographyMapper mapper;
  private final Folders folders;
  private final Citing citing;
  private final Commands commands;

  /** How a bibliography is set; {@code style} empty for the group's. */
  public record BibliographySet(String folder, String style, String language, boolean byHand) {}

  /** {@code own}: whether the folder has a style of its own. */
  record How(StyleChoice choice, boolean own, boolean byHand, Chapters.Read chapters) {}

  BibliographySettings(
      BibliographyMapper mapper, Folders folders, Citing citing, Commands commands) {
    this.mapper = mapper;
    this.folders = folders;
    this.citing = citing;
    this.commands = commands;
  }

  /**
   * Of a folder (row number).
   *
   * @param groups what its group cites in
   * @param asked tried instead; its parts may be empty
   */
  How of(StyleChoice groups, int folder, StyleChoice asked) {
    BibliographyMapper.HowRow row = mapper.how(folder);
    boolean set = row.style() != null;
    StyleChoice own = set ? new StyleChoice(row.style(), row.language()) : StyleChoice.NONE;
    return new How(
        asked.or(own).or(groups), !own.style().isEmpty(), set && row.byHand(), chapters(row));
  }

  private static Chapters.Read chapters(BibliographyMapper.HowRow row) {
    Map<Integer, String> of = new HashMap<>();
    for (int n = 0; n < row.works().length; n++) {
      of.put(Integer.valueOf(row.works()[n]), row.below()[n]);
    }
    return new Chapters.Read(List.of(row.chapters()), of);
  }

  private BibliographyMapper.SetRow row(int folder) {
    return Optional.ofNullable(mapper.find(folder))
        .orElse(new BibliographyMapper.SetRow(folder, "", "", false));
  }

  /** Sets style, language and order of a folder's bibliography for everybody. */
  public BibliographySet set(Member who, UUID command, BibliographySet wanted) {
    if (!wanted.style().isEmpty()) {
      Citing.require(new StyleChoice(wanted.style(), wanted.language()));
    }
    Citing.requireLanguage(wanted.language());
    return commands.run(
        who,
        command,
        set,
        () -> {
          int folder = folders.idToEdit(who, wanted.folder());
          BibliographyMapper.SetRow before = row(folder);
          mapper.set(
              new BibliographyMapper.SetRow(
                  folder, wanted.style(), wanted.language(), wanted.byHand()));
          return CommandResult.of(wanted, before)
              .changing(List.of("bibliography:" + wanted.folder()))
              .about(Subject.Of.FOLDER, List.of(wanted.folder()))
              .toldTo(folders.audience(who, wanted.folder()))
              .differing(Aspect.CITED_IN, title(who, before.style()), title(who, wanted.style()))
              .differing(Aspect.ORDER, order(before.byHand()), order(wanted.byHand()));
        });
  }

  private String title(Member who, String style) {
    return citing.style(style.isEmpty() ? citing.ofGroup(who).style() : style).title();
  }

  private static String order(boolean byHand) {
    return byHand ? "by hand" : "of the style";
  }

  private String back(BibliographyMapper.SetRow before) {
    mapper.set(before);
    return "";
  }

  @Override
  public List<CommandKind<?, ?>> kinds() {
    return List.of(set);
  }
}
