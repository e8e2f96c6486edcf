package org.quietlantern.core.vocabulary;

import java.io.StringWriter;
import java.util.Collection;
import java.util.List;
import org.eclipse.rdf4j.model.IRI;
import org.eclipse.rdf4j.model.Literal;
import org.eclipse.rdf4j.model.Model;
import org.eclipse.rdf4j.model.Value;
import org.eclipse.rdf4j.model.ValueFactory;
import org.eclipse.rdf4j.model.impl.LinkedHashModel;
import org.eclipse.rdf4j.model.impl.SimpleValueFactory;
import org.eclipse.rdf4j.model.vocabulary.DCTERMS;
import org.eclipse.rdf4j.model.vocabulary.OWL;
import org.eclipse.rdf4j.model.vocabulary.RDF;
import org.eclipse.rdf4j.model.vocabulary.SKOS;
import org.eclipse.rdf4j.rio.RDFWriter;
import org.eclipse.rdf4j.rio.Rio;
import org.eclipse.rdf4j.rio.rdfxml.RDFXMLWriter;
import org.eclipse.rdf4j.rio.turtle.TurtleWriter;

/**
 * Writes terms in SKOS (W3C Recommendation 18 August 2009). {@link SkosReader} reads them back as
 * they were, with the languages of their names; former names go out as hidden ones.
 */
public final class SkosWriter {
  private static final ValueFactory VALUES = SimpleValueFactory.getInstance();

  private final Model model = new LinkedHashModel();

  private SkosWriter() {}

  public static String write(Collection<Concept> terms, SkosFormat format) {
    SkosWriter writer = new SkosWriter();
    writer.model.setNamespace(SKOS.NS);
    writer.model.setNamespace(OWL.NS);
    writer.model.setNamespace(DCTERMS.NS);
    writer.model.setNamespace("ql", SkosReader.OURS);
    terms.stream()
        .map(Concept::scheme)
        .filter(scheme -> !scheme.isEmpty())
        .distinct()
        .forEach(scheme -> writer.model.add(iri(scheme), RDF.TYPE, SKOS.CONCEPT_SCHEME));
    terms.forEach(writer::term);
    StringWriter file = new StringWriter();
    switch (format) {
      case TURTLE -> writer.write(new TurtleWriter(file));
      case RDF_XML -> writer.write(new RDFXMLWriter(file));
      case JSON_LD -> file.append(JsonLd.write(writer.model));
    }
    return file.toString();
  }

  private void write(RDFWriter writer) {
    Rio.write(model, writer);
  }

  private void term(Concept term) {
    IRI uri = iri(term.uri());
    model.add(uri, RDF.TYPE, SKOS.CONCEPT);
    if (!term.scheme().isEmpty()) {
      model.add(uri, SKOS.IN_SCHEME, iri(term.scheme()));
    }
    term.saidOrRead().forEach(said -> model.add(uri, said.iri(), literal(said)));
    term.fate()
        .former()
        .forEach(name -> model.add(uri, SKOS.HIDDEN_LABEL, VALUES.createLiteral(name)));
    links(uri, SKOS.BROADER, term.broader());
    links(uri, SKOS.RELATED, term.related());
    links(uri, VALUES.createIRI(SkosReader.ASPECT), term.aspects());
    links(uri, DCTERMS.IS_REPLACED_BY, term.fate().replacedBy());
    if (term.fate().retired()) {
      model.add(uri, OWL.DEPRECATED, VALUES.createLiteral(true));
    }
  }

  private void links(IRI uri, IRI property, List<String> ends) {
    ends.forEach(end -> model.add(uri, property, (Value) iri(end)));
  }

  private static IRI iri(String uri) {
    return VALUES.createIRI(uri);
  }

  private static Literal literal(OtherStatement said) {
    return said.language().isEmpty()
        ? VALUES.createLiteral(said.text())
        : VALUES.createLiteral(said.text(), said.language());
  }
}
