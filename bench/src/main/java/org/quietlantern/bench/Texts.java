package org.quietlantern.bench;

import java.text.Normalizer;
import org.quietlantern.core.publication.HeadingUse;
import org.quietlantern.core.publication.Publication;

/** What words without a field are looked for in, as one text. */
final class Texts {
  private Texts() {}

  static String of(Publication publication) {
    String text =
        String.join(
            " . ",
            publication.title(),
            publication.originalTitle(),
            publication.abstractText(),
            String.join(" . ", publication.headings().stream().map(HeadingUse::label).toList()),
            String.join(" . ", publication.keywords()));
    // Accents make no difference.
    return Normalizer.normalize(text, Normalizer.Form.NFD).replaceAll("\\p{M}+", "");
  }
}
