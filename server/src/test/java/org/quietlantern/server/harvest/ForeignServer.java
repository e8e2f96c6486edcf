package org.quietlantern.server.harvest;

import com.sun.net.httpserver.HttpServer;
import io.gdcc.xoai.dataprovider.DataProvider;
import io.gdcc.xoai.dataprovider.exceptions.handler.IdDoesNotExistException;
import io.gdcc.xoai.dataprovider.filter.ScopedFilter;
import io.gdcc.xoai.dataprovider.model.Context;
import io.gdcc.xoai.dataprovider.model.Item;
import io.gdcc.xoai.dataprovider.model.ItemIdentifier;
import io.gdcc.xoai.dataprovider.model.MetadataFormat;
import io.gdcc.xoai.dataprovider.model.Set;
import io.gdcc.xoai.dataprovider.repository.ItemRepository;
import io.gdcc.xoai.dataprovider.repository.Repository;
import io.gdcc.xoai.dataprovider.repository.RepositoryConfiguration;
import io.gdcc.xoai.dataprovider.repository.ResultsPage;
import io.gdcc.xoai.dataprovider.repository.SetRepository;
import io.gdcc.xoai.model.oaipmh.DeletedRecord;
import io.gdcc.xoai.model.oaipmh.Granularity;
import io.gdcc.xoai.model.oaipmh.ResumptionToken;
import io.gdcc.xoai.model.oaipmh.results.record.Metadata;
import io.gdcc.xoai.services.impl.SimpleResumptionTokenFormat;
import io.gdcc.xoai.xml.EchoElement;
import io.gdcc.xoai.xml.XmlWriter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Function;
import javax.xml.stream.XMLStreamException;

/** A source whose OAI-PMH is a library's: only its records are made here. */
final class ForeignServer implements AutoCloseable {
  /** A record of it, in whichever format it is asked for. */
  record Entry(String identifier, Instant datestamp, boolean isDeleted, String set, String title)
      implements Item {
    @Override
    public String getIdentifier() {
      return identifier;
    }

    @Override
    public Instant getDatestamp() {
      return datestamp;
    }

    @Override
    public List<Set> getSets() {
      return List.of(new Set(set));
    }

    @Override
    public boolean isDeleted() {
      return isDeleted;
    }

    @Override
    public Metadata getMetadata() {
      throw new IllegalStateException("it has none until it is asked for in a format");
    }
  }

  final List<Entry> entries = new CopyOnWriteArrayList<>();
  final List<String> asked = new CopyOnWriteArrayList<>();
  private final HttpServer server;
  private final Repository repository;
  private final DataProvider provider;

  /** {@code formats}: prefix to namespace; {@code writers}: prefix to what a record is in it. */
  ForeignServer(
      Granularity granularity,
      Map<String, String> formats,
      Map<String, Function<Entry, String>> writers) {
    try {
      server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
    RepositoryConfiguration configuration =
        new RepositoryConfiguration.RepositoryConfigurationBuilder()
            .withRepositoryName("A repository of others")
            .withAdminEmails("keeper@others.example")
            .withBaseUrl(address().toString())
            .withEarliestDate(Instant.parse("2020-01-01T00:00:00Z"))
            .withGranularity(granularity)
            .withDeleteMethod(DeletedRecord.PERSISTENT)
            .withMaxListRecords(40)
            .withMaxListIdentifiers(40)
            .withMaxListSets(10)
            .withResumptionTokenFormat(
                new SimpleResumptionTokenFormat().withGranularity(granularity))
            .build();
    Context context = new Context();
    formats.forEach(
        (prefix, namespace) ->
            context.withMetadataFormat(
                MetadataFormat.metadataFormat(prefix)
                    .withNamespace(namespace)
                    .withSchemaLocation(namespace + "/schema.xsd")
                    .withTransformer(MetadataFormat.identity())));
    repository =
        new Repository(configuration)
            .withItemRepository(new Items(writers))
            .withSetRepository(new Parts());
    provider = new DataProvider(context, repository);
    server.createContext(
        "/request",
        exchange -> {
          String query = exchange.getRequestURI().getRawQuery();
          asked.add(query);
          byte[] body = answer(query).getBytes(StandardCharsets.UTF_8);
          exchange.getResponseHeaders().set("Content-Type", "text/xml;charset=UTF-8");
          exchange.sendResponseHeaders(200, body.length);
          try (exchange) {
            exchange.getResponseBody().write(body);
          }
        });
    server.start();
  }

  private String answer(String query) throws IOException {
    Map<String, String[]> parameters = new HashMap<>();
    for (String pair : query.split("&")) {
      String[] parts = pair.split("=", 2);
      parameters.put(parts[0], new String[] {URLDecoder.decode(parts[1], StandardCharsets.UTF_8)});
    }
    try {
      return XmlWriter.toString(provider.handle(parameters), repository.getConfiguration());
    } catch (XMLStreamException failed) {
      throw new IOException(failed);
    }
  }

  URI address() {
    return URI.create("http://127.0.0.1:" + server.getAddress().getPort() + "/request");
  }

  @Override
  public void close() {
    server.stop(0);
  }

  /** Its records; what is selected of them is the library's word. */
  private final class Items implements ItemRepository {
    private final Map<String, Function<Entry, String>> writers;

    Items(Map<String, Function<Entry, String>> writers) {
      this.writers = writers;
    }

    @Override
    public ItemIdentifier getItemIdentifier(String identifier) throws IdDoesNotExistException {
      return entries.stream()
          .filter(entry -> entry.identifier().equals(identifier))
          .findFirst()
          .orElseThrow(() -> new IdDoesNotExistException("there is none"));
    }

    @Override
    public Item getItem(String identifier, MetadataFormat format) throws IdDoesNotExistException {
      return written((Entry) getItemIdentifier(identifier), format.getPrefix());
    }

    private Item written(Entry entry, String prefix) {
      Metadata metadata = new Metadata(new EchoElement(writers.get(prefix).apply(entry)));
      return new Written(entry, metadata);
    }

    @Override
    public ResultsPage<ItemIdentifier> getItemIdentifiers(
        List<ScopedFilter> filters, MetadataFormat format, int most, ResumptionToken.Value from) {
      return page(from, most, selected(filters, from));
    }

    @Override
    public ResultsPage<Item> getItems(
        List<ScopedFilter> filters, MetadataFormat format, int most, ResumptionToken.Value from) {
      return page(
          from,
          most,
          selected(filters, from).stream()
              .map(entry -> written((Entry) entry, format.getPrefix()))
              .toList());
    }

    private List<ItemIdentifier> selected(List<ScopedFilter> filters, ResumptionToken.Value asked) {
      List<ItemIdentifier> selected = new ArrayList<>();
      for (Entry entry : entries) {
        boolean shown =
            filters.stream().allMatch(f -> f.getCondition().getFilter().isItemShown(entry));
        boolean inSet = !asked.hasSetSpec() || asked.getSetSpec().equals(entry.set());
        boolean inTime = !asked.hasFrom() || !entry.datestamp().isBefore(asked.getFrom());
        if (shown && inSet && inTime) {
          selected.add(entry);
        }
      }
      return selected;
    }

    private <T> ResultsPage<T> page(ResumptionToken.Value from, int most, List<T> all) {
      int start = (int) from.getOffset();
      int end = Math.min(all.size(), start + most);
      return new ResultsPage<>(from, end < all.size(), all.subList(start, end), all.size());
    }
  }

  private static final class Parts implements SetRepository {
    @Override
    public boolean supportSets() {
      return true;
    }

    @Override
    public boolean exists(String set) {
      return getSets().stream().anyMatch(known -> known.getSpec().equals(set));
    }

    @Override
    public List<Set> getSets() {
      return List.of(new Set("moths").withName("Moths"), new Set("bats").withName("Bats"));
    }
  }

  /** An entry in a format. */
  private record Written(Entry entry, Metadata metadata) implements Item {
    @Override
    public String getIdentifier() {
      return entry.getIdentifier();
    }

    @Override
    public Instant getDatestamp() {
      return entry.getDatestamp();
    }

    @Override
    public List<Set> getSets() {
      return entry.getSets();
    }

    @Override
    public boolean isDeleted() {
      return entry.isDeleted();
    }

    @Override
    public Metadata getMetadata() {
      return metadata;
    }
  }
}
