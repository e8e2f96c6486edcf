package org.quietlantern.core.vocabulary;

import com.apicatalog.jsonld.JsonLdError;
import com.apicatalog.jsonld.JsonLdErrorCode;
import com.apicatalog.jsonld.document.JsonDocument;
import com.apicatalog.jsonld.document.RdfDocument;
import com.apicatalog.rdf.Rdf;
import com.apicatalog.rdf.RdfDataset;
import com.apicatalog.rdf.RdfLiteral;
import com.apicatalog.rdf.RdfResource;
import com.apicatalog.rdf.RdfTriple;
import com.apicatalog.rdf.RdfValue;
import jakarta.json.Json;
import jakarta.json.JsonArray;
import jakarta.json.JsonObject;
import java.io.StringReader;
import org.eclipse.rdf4j.model.BNode;
import org.eclipse.rdf4j.model.Literal;
import org.eclipse.rdf4j.model.Model;
import org.eclipse.rdf4j.model.Resource;
import org.eclipse.rdf4j.model.Statement;
import org.eclipse.rdf4j.model.Value;
import org.eclipse.rdf4j.model.ValueFactory;
import org.eclipse.rdf4j.model.impl.LinkedHashModel;
import org.eclipse.rdf4j.model.impl.SimpleValueFactory;

/** JSON-LD 1.1 (W3C Recommendation 16 July 2020); nothing outside of a file is ever fetched. */
final class JsonLd {
  private static final ValueFactory VALUES = SimpleValueFactory.getInstance();

  private JsonLd() {}

  /** Throws what is wrong, in words. */
  static Model read(String text) throws Unreadable {
    try {
      RdfDataset read =
          com.apicatalog.jsonld.JsonLd.toRdf(JsonDocument.of(new StringReader(text)))
              .base("urn:quietlantern:")
              .loader(
                  (address, options) -> {
                    throw new JsonLdError(
                        JsonLdErrorCode.LOADING_REMOTE_CONTEXT_FAILED,
                        "[" + address + "] is outside of the file");
                  })
              .get();
      Model model = new LinkedHashModel();
      for (RdfTriple triple : read.getDefaultGraph().toList()) {
        model.add(
            resource(triple.getSubject()),
            VALUES.createIRI(triple.getPredicate().getValue()),
            value(triple.getObject()));
      }
      return model;
    } catch (JsonLdError | IllegalArgumentException broken) {
      throw new Unreadable(String.valueOf(broken.getMessage()), broken);
    }
  }

  /** A file that cannot be read as JSON-LD. */
  static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;

    Unreadable(String message, Exception cause) {
      super(message, cause);
    }
  }

  private static Resource resource(RdfResource from) {
    return from.isBlankNode()
        ? VALUES.createBNode(from.getValue().substring(2))
        : VALUES.createIRI(from.getValue());
  }

  private static Value value(RdfValue from) {
    if (!from.isLiteral()) {
      return resource((RdfResource) from);
    }
    RdfLiteral literal = from.asLiteral();
    return literal
        .getLanguage()
        .map(language -> (Value) VALUES.createLiteral(literal.getValue(), language))
        .orElseGet(
            () ->
                VALUES.createLiteral(literal.getValue(), VALUES.createIRI(literal.getDatatype())));
  }

  static String write(Model model) {
    RdfDataset dataset = Rdf.createDataset();
    for (Statement statement : model) {
      dataset.add(
          Rdf.createTriple(
              resource(statement.getSubject()),
              Rdf.createIRI(statement.getPredicate().stringValue()),
              value(statement.getObject())));
    }
    try {
      JsonArray expanded = com.apicatalog.jsonld.JsonLd.fromRdf(RdfDocument.of(dataset)).get();
      JsonObject compact =
          com.apicatalog.jsonld.JsonLd.compact(
                  JsonDocument.of(expanded), JsonDocument.of(context(model)))
              .get();
      return compact.toString();
    } catch (JsonLdError broken) {
      throw new IllegalStateException(broken);
    }
  }

  private static JsonObject context(Model model) {
    var prefixes = Json.createObjectBuilder();
    model.getNamespaces().forEach(each -> prefixes.add(each.getPrefix(), each.getName()));
    return Json.createObjectBuilder().add("@context", prefixes).build();
  }

  private static RdfResource resource(Resource from) {
    return from instanceof BNode blank
        ? Rdf.createBlankNode("_:" + blank.getID())
        : Rdf.createIRI(from.stringValue());
  }

  private static RdfValue value(Value from) {
    if (!(from instanceof Literal literal)) {
      return resource((Resource) from);
    }
    return literal
        .getLanguage()
        .map(language -> (RdfValue) Rdf.createLangString(literal.getLabel(), language))
        .orElseGet(
            () -> Rdf.createTypedString(literal.getLabel(), literal.getDatatype().stringValue()));
  }
}
