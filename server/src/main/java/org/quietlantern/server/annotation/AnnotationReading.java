package org.quietlantern.server.annotation;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.quietlantern.core.annotation.AnnotationState;
import org.quietlantern.core.annotation.AnnotationText;
import org.quietlantern.server.folder.FolderRight;
import org.quietlantern.server.folder.Folders;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Nullable;
import org.quietlantern.server.platform.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Annotations as they are read. */
@Service
@Transactional(readOnly = true)
public class AnnotationReading {
  private final AnnotationMapper mapper;
  private final Annotations annotations;
  private final Folders folders;

  /**
   * What a colleague said of it, or suggested.
   *
   * @param start where the words are now that it is about, in letters from 0; absent where they are
   *     not there any more, or where it is about all
   * @param words that it is about; empty: all of it
   * @param instead what would stand there; absent for a remark alone
   * @param outcome {@code open}, {@code taken} or {@code left}, and {@code dealtWith}: by whom
   */
  public record RemarkOnWords(
      String id,
      String by,
      boolean mine,
      Instant at,
      @Nullable Integer start,
      String words,
      @Nullable String instead,
      String text,
      String outcome,
      @Nullable String dealtWith) {}

  /** Words that it had; {@code n} from 1, {@code letters} of them. */
  public record WordingShown(int n, String by, Instant at, int letters) {}

  /**
   * All of one.
   *
   * @param version 0 where there is none
   * @param text as it is written, with stars
   * @param by who writes it; empty where there is none
   * @param edits whether the reader may change the folder
   * @param writes whether the reader may write it as it stands
   * @param suggests whether the reader may say something of it
   * @param agreedBy absent while it is not agreed
   * @param wordings the last first
   */
  public record AnnotationShown(
      int version,
      String text,
      List<AnnotationText.Paragraph> paragraphs,
      String state,
      String by,
      boolean mine,
      boolean edits,
      boolean writes,
      boolean suggests,
      @Nullable String agreedBy,
      @Nullable Instant at,
      List<RemarkOnWords> remarks,
      List<WordingShown> wordings) {}

  AnnotationReading(AnnotationMapper mapper, Annotations annotations, Folders folders) {
    this.mapper = mapper;
    this.annotations = annotations;
    this.folders = folders;
  }

  /** What stands below an entry of a folder, with what was said of it and its earlier words. */
  public AnnotationShown view(Member who, String folder, String publication) {
    Annotations.At at = annotations.at(who, folders.id(who, folder), publication);
    FolderRight may = folders.may(who, folder);
    boolean edits = may.allows(FolderRight.EDIT);
    return at.row()
        .map(row -> shown(who, row, edits, may.allows(FolderRight.REMARK)))
        .orElse(
            new AnnotationShown(
                0,
                "",
                List.of(),
                AnnotationState.DRAFT.word(),
                "",
                false,
                edits,
                edits,
                false,
                null,
                null,
                List.of(),
                List.of()));
  }

  private AnnotationShown shown(
      Member who, AnnotationMapper.Row row, boolean edits, boolean remarks) {
    boolean mine = row.writer() == who.id();
    return new AnnotationShown(
        row.version(),
        row.body(),
        AnnotationText.read(row.body()).paragraphs(),
        row.state(),
        row.name(),
        mine,
        edits,
        edits && (mine || row.body().isEmpty()),
        remarks && !row.body().isEmpty(),
        row.agreed(),
        row.at(),
        mapper.remarks(row.id()).stream().map(one -> shown(who, row, one)).toList(),
        mapper.wordings(row.id()).stream()
            .map(one -> new WordingShown(one.n(), one.name(), one.at(), one.letters()))
            .toList());
  }

  private static RemarkOnWords shown(
      Member who, AnnotationMapper.Row row, AnnotationMapper.RemarkRow remark) {
    return new RemarkOnWords(
        remark.pid(),
        remark.name(),
        remark.membership() == who.id(),
        remark.at(),
        remark.words().isEmpty()
            ? null
            : AnnotationRemarks.part(remark).in(row.body()).orElse(null),
        remark.words(),
        remark.instead(),
        remark.body(),
        remark.outcome(),
        remark.dealtWith());
  }

  /** Words that it had once; {@code n} from 1. */
  public record Wording(int n, String text) {}

  public Wording wording(Member who, String folder, String publication, int n) {
    AnnotationMapper.Row row =
        annotations
            .at(who, folders.id(who, folder), publication)
            .row()
            .orElseThrow(Refusal::unknown);
    return new Wording(
        n, Optional.ofNullable(mapper.wording(row.id(), n)).orElseThrow(Refusal::unknown));
  }
}
