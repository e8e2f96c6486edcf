package org.quietlantern.server.vocabulary;

import java.util.Base64;
import java.util.UUID;
import org.quietlantern.core.vocabulary.SkosFormat;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.platform.Refusal;
import org.quietlantern.server.platform.web.Attachment;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/groups/{group}/vocabulary")
class VocabularyController {
  private final Vocabularies vocabularies;
  private final VocabularyFiles files;

  /** A file as it came, in Base64 (RFC 4648): its encoding is part of what is looked at. */
  record SkosFile(String file) {
    byte[] bytes() {
      try {
        return Base64.getDecoder().decode(file);
      } catch (IllegalArgumentException damaged) {
        throw Refusal.unusable("vocabulary-file", "The file did not arrive as it was sent.");
      }
    }
  }

  VocabularyController(Vocabularies vocabularies, VocabularyFiles files) {
    this.vocabularies = vocabularies;
    this.files = files;
  }

  /** What taking a file in would change. Stewards only. */
  @PostMapping("/look")
  VocabularyFiles.VocabularyChanges look(Member me, @RequestBody SkosFile body) {
    return files.look(me, body.bytes());
  }

  /**
   * How far the reading of a file is.
   *
   * @param terms read so far; 0 where none of the member's files is read
   */
  record ReadingProgress(int terms) {}

  /** How far the reading of the member's own file is. */
  @GetMapping("/progress")
  ReadingProgress progress(Member me) {
    return new ReadingProgress(files.termsRead(me));
  }

  /** Takes a file in. Stewards only. */
  @PutMapping
  VocabularyFiles.VocabularyChanges take(
      Member me, @RequestHeader("Command-Id") UUID command, @RequestBody SkosFile body) {
    return files.take(me, command, body.bytes());
  }

  /** All headings and aspects in SKOS, as Turtle. */
  @GetMapping(value = "/skos.ttl", produces = "text/turtle;charset=UTF-8")
  ResponseEntity<byte[]> turtle(Member me) {
    return skos(SkosFormat.TURTLE);
  }

  /** All headings and aspects in SKOS, as RDF/XML. */
  @GetMapping(value = "/skos.rdf", produces = "application/rdf+xml;charset=UTF-8")
  ResponseEntity<byte[]> rdfXml(Member me) {
    return skos(SkosFormat.RDF_XML);
  }

  /** All headings and aspects in SKOS, as JSON-LD. */
  @GetMapping(value = "/skos.jsonld", produces = "application/ld+json")
  ResponseEntity<byte[]> jsonLd(Member me) {
    return skos(SkosFormat.JSON_LD);
  }

  /** The trees by which limits on what was studied are ordered, in SKOS as Turtle. */
  @GetMapping(value = "/trees.ttl", produces = "text/turtle;charset=UTF-8")
  ResponseEntity<byte[]> trees(Member me) {
    return Attachment.of("trees.ttl", vocabularies.treesAsTurtle());
  }

  private ResponseEntity<byte[]> skos(SkosFormat format) {
    return Attachment.of("headings." + format.ending(), vocabularies.skos(format));
  }
}
