package org.quietlantern.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Cases of the suite that ask for something else than CSL 1.0.2 with the files that ship. */
final class LeftOut {
  /** Sections of a case that the standard does not know. */
  private static final List<String> SECTIONS =
      List.of("BIBSECTION", "ABBREVIATIONS", "LANGUAGES", "OPTIONS");

  private static final Map<String, List<String>> REASONS =
      Map.of(
          "written for the words of former locale files",
          List.of(
              "bugreports_SortedIeeeItalicsFail",
              "magic_SubsequentAuthorSubstituteNotFooled",
              "name_EditorTranslatorSameWithTerm",
              "name_EtAlWithCombined",
              "name_SubsequentAuthorSubstituteMultipleNames",
              "punctuation_DateStripPeriods",
              "punctuation_FrenchOrthography"),
          "asks which citations the last act has changed",
          List.of(
              "bugreports_OldMhraDisambiguationFailure",
              "disambiguate_DisambiguationHang",
              "integration_FirstReferenceNoteNumberPositionChange"),
          "reads variables out of the note of a work",
          List.of(
              "label_NameLabelThroughSubstitute",
              "number_LimitOrdinalsToDayOne",
              "variables_ContainerTitleShort2"),
          "gives the position of a cite by hand",
          List.of("bugreports_DemoPageFullCiteCruftOnSubsequent"),
          "wants a message that is no part of the standard",
          List.of("sort_OmittedBibRefMixedNumericStyle"));

  private LeftOut() {}

  /** Why a case is left out; empty for one that counts. */
  static Optional<String> reason(String name, Map<String, String> sections) {
    if (!sections.containsKey("CSL")) {
      return Optional.of("no style");
    }
    return SECTIONS.stream()
        .filter(sections::containsKey)
        .findFirst()
        .or(
            () ->
                REASONS.entrySet().stream()
                    .filter(one -> one.getValue().contains(name))
                    .map(Map.Entry::getKey)
                    .findFirst());
  }
}
