package org.quietlantern.core.vocabulary;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What the libraries say of a file that they cannot read, in words for whoever brought it. */
final class SkosMessages {
  private record Known(Pattern said, String plain) {}

  private static final List<Known> KNOWN =
      List.of(
          known(
              "(?i).*DOCTYPE is disallowed.*",
              "a document type is not read: it reaches outside of the file"),
          known(
              "Namespace prefix '(.*?)' used but not defined.*",
              "the prefix “$1” is used and nowhere declared"),
          known("Expected '(.+?)', found '(.+?)'.*", "“$1” is missing before “$2”"),
          known(
              "Expected an RDF value here, found '(.*?)'.*",
              "a name or text is missing before “$1”"),
          known("Unexpected end of file.*", "the file ends in the middle"),
          known("(?i).*must be terminated by the matching end-tag.*", "an element is not closed"),
          known("(?i)XML document structures must start and end.*", "the file ends in the middle"),
          known(
              ".*loading a remote context \\[(.*?)\\].*",
              "it needs $1, and nothing outside of a file is read"));

  private SkosMessages() {}

  static String plain(SkosFormat format, String said) {
    String one = String.valueOf(said).replaceAll(" \\[line \\d+.*", "").strip();
    for (Known known : KNOWN) {
      Matcher matcher = known.said().matcher(one);
      if (matcher.matches()) {
        return matcher.replaceFirst(known.plain());
      }
    }
    return "this cannot be read as %s (%s)".formatted(format.spoken(), one);
  }

  private static Known known(String said, String plain) {
    return new Known(Pattern.compile(said, Pattern.DOTALL), plain);
  }
}
