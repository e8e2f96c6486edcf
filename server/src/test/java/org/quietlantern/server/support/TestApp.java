package org.quietlantern.server.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.quietlantern.server.QuietLantern;
import org.quietlantern.server.account.Accounts;
import org.quietlantern.server.alert.Watching;
import org.quietlantern.server.group.Groups;
import org.quietlantern.server.group.Member;
import org.quietlantern.server.harvest.Harvests;
import org.quietlantern.server.holdings.KnownJournals;
import org.quietlantern.server.index.IndexKeeper;
import org.quietlantern.server.platform.Calendar;
import org.quietlantern.server.vocabulary.Vocabularies;
import org.quietlantern.standins.Outside;
import org.quietlantern.standins.corpus.Extent;
import org.quietlantern.standins.corpus.Facets;
import org.quietlantern.standins.corpus.Headings;
import org.quietlantern.standins.corpus.Holdings;
import org.quietlantern.standins.corpus.Literature;
import org.quietlantern.standins.corpus.SkosWriter;
import org.quietlantern.standins.host.TextHost;
import org.quietlantern.standins.oai.Faults;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The real application on a database of its own, beside a source of its own. Nothing falls due by
 * itself in it: tests say when.
 */
public final class TestApp implements AutoCloseable, AfterAllCallback {
  public static final String PASSWORD = "words-for-tests";

  /** The present when an application starts; the source has some 270 works by then. */
  public static final Instant BEGINS = Instant.parse("2026-11-17T07:00:00Z");

  /** Days that hold two working days, on which sources supply something. */
  public static final int OVER_A_WEEKEND = 4;

  private static final Literature LITERATURE = Literature.of(Literature.SEED, Extent.SMALL);
  private static TestApp shared;
  private final TextHost texts;
  private final Outside outside;
  private final ConfigurableApplicationContext context;
  private final Path data;
  private final String database;
  private boolean standsStill;

  public TestApp(String... options) {
    this(Cluster.newDatabase(), folder(), options);
  }

  private TestApp(String database, Path data, String... options) {
    try {
      this.data = data;
      this.database = database;
      texts = new TextHost(0, LITERATURE);
      outside = new Outside(0, LITERATURE, texts.places());
      outside.setClock(BEGINS);
      String[] all = {
        "--server.port=0",
        "--spring.datasource.url=" + database,
        "--lantern.data=" + data,
        "--lantern.base-url=http://lantern.test",
        "--lantern.jobs=false",
        "--logging.level.org.quietlantern.requests=warn",
        "--lantern.outbound-allowed=127.0.0.1",
        "--lantern.mail.server=127.0.0.1:" + outside.mail().port(),
        "--lantern.mail.security=none",
        "--lantern.mail.from=lantern@lantern.example",
        "--lantern.resolver=" + texts.address() + "/doi/",
        "--lantern.demo.outside=" + outside.address(),
        "--lantern.demo.password=" + PASSWORD
      };
      // What a test sets stands in the place of what is set here.
      String[] arguments =
          Stream.concat(
                  Arrays.stream(all)
                      .filter(one -> Arrays.stream(options).noneMatch(own -> isSame(one, own))),
                  Arrays.stream(options))
              .toArray(String[]::new);
      context = new SpringApplicationBuilder(QuietLantern.class, TestBeans.class).run(arguments);
      bean(Harvests.class)
          .addSource("night-index", "The Night Index", outside.source("night-index"), "mods", 1);
      takeIn(Facets.turtle());
      takeIn(SkosWriter.turtle(Headings.ALL.values()));
      bean(KnownJournals.class).take(Holdings.journals());
      setClock(BEGINS);
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  private static boolean isSame(String one, String other) {
    return one.substring(0, one.indexOf('=')).equals(other.split("=", 2)[0]);
  }

  /** On a database that is there, whatever is in it. */
  public static TestApp on(String database) {
    return new TestApp(database, folder());
  }

  /** The address of a database with nothing in it. */
  public static String newDatabase() {
    return Cluster.newDatabase();
  }

  /** Another server of the same installation, with a data folder of its own. */
  public TestApp beside(String... options) {
    return new TestApp(database, folder(), options);
  }

  /** Takes the database away, or gives it back. */
  public void letDatabase(boolean answer) {
    Cluster.letIn(database, answer);
  }

  private static Path folder() {
    try {
      Path folder = Files.createTempDirectory("lantern-data");
      folder.toFile().deleteOnExit();
      return folder;
    } catch (IOException failed) {
      throw new UncheckedIOException(failed);
    }
  }

  /**
   * One with the source's past harvested, for tests that make groups of their own in it. No day
   * ever passes in it, so that no test depends on those before it.
   */
  public static synchronized TestApp shared() {
    if (shared == null) {
      shared = own();
      shared.standsStill = true;
    }
    return shared;
  }

  /** The same for one class alone, with a calendar of its own; closed after it as an extension. */
  public static TestApp own() {
    TestApp app = new TestApp();
    app.workOff();
    return app;
  }

  public <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping mappings() {
    return Endpoints.mapping(context);
  }

  /** What goes wrong at the source. */
  public Faults faults() {
    return outside.faults("night-index");
  }

  public Outside outside() {
    return outside;
  }

  public Path data() {
    return data;
  }

  /** Moves the calendar and the source's clock. */
  public void setClock(Instant now) {
    if (standsStill) {
      throw new IllegalStateException("days pass in an application of a test's own");
    }
    outside.setClock(now);
    bean(Calendar.class).set(now);
  }

  /** Harvests, runs alerts and closes rounds, as the jobs would; searches find what came. */
  public List<Harvests.Outcome> workOff() {
    List<Harvests.Outcome> outcomes = bean(Harvests.class).harvestAll();
    bean(IndexKeeper.class).catchUp();
    bean(Watching.class).run();
    return outcomes;
  }

  /** Lets days pass, one at a time. */
  public void pass(int days) {
    for (int i = 0; i < days; i++) {
      setClock(bean(Calendar.class).now().plus(java.time.Duration.ofDays(1)));
      workOff();
    }
  }

  /**
   * Lets days pass over a weekend, and on until a publication came: whatever days passed before, an
   * alert on everything has a round.
   */
  public void passUntilSomethingCame() {
    int before = publications();
    pass(OVER_A_WEEKEND);
    for (int day = 0; publications() == before && day < OVER_A_WEEKEND * 2; day++) {
      pass(1);
    }
  }

  /** The same while alerts do not run. */
  public void harvestUntilSomethingCame() {
    int before = publications();
    for (int day = 0; publications() == before && day < OVER_A_WEEKEND * 3; day++) {
      setClock(bean(Calendar.class).now().plus(java.time.Duration.ofDays(1)));
      bean(Harvests.class).harvestAll();
    }
    bean(IndexKeeper.class).catchUp();
  }

  private int publications() {
    return bean(JdbcTemplate.class)
        .queryForObject("select count(*) from publication where canonical is null", Integer.class);
  }

  /** A new group whose people are signed in; the first of them coordinates. */
  public TestGroup group(String... names) {
    int group = bean(Groups.class).add("Group " + UUID.randomUUID(), "Europe/Oslo");
    for (int i = 0; i < names.length; i++) {
      join(group, names[i], i == 0 ? "coordinator" : "member");
    }
    return new TestGroup(this, group);
  }

  void join(int group, String name, String role) {
    String email = name.toLowerCase(java.util.Locale.ROOT).replace(' ', '.') + group + "@x.example";
    int account = bean(Accounts.class).add(email, PASSWORD, "Europe/Oslo");
    bean(Groups.class).join(group, account, role, name);
  }

  /** Lets somebody from outside into a group who sees a folder of it and nothing else. */
  void joinFolder(int group, String name, String folder, String may) {
    join(group, name, "guest");
    JdbcTemplate database = bean(JdbcTemplate.class);
    database.update(
        "update membership set only_folders = true where grp = ? and name = ?", group, name);
    database.update("update folder set open_to = coalesce(open_to, 'group') where pid = ?", folder);
    database.update(
        """
        insert into folder_named (folder, membership, may)
        select f.id, m.id, ?::folder_right from folder f, membership m
        where f.pid = ? and m.grp = ? and m.name = ?
        """,
        may,
        folder,
        group,
        name);
  }

  /** Gives the account of a member of a test's group the steward's right. */
  public void makeSteward(Member member) {
    bean(Accounts.class).makeSteward(bean(Groups.class).account(member));
  }

  public Client signedIn(Member member) {
    Client client = new Client(address());
    client.signIn(
        member.name().toLowerCase(java.util.Locale.ROOT).replace(' ', '.')
            + member.group()
            + "@x.example",
        PASSWORD);
    return client;
  }

  private void takeIn(String skos) {
    Vocabularies vocabularies = bean(Vocabularies.class);
    vocabularies.take(vocabularies.look(skos.getBytes(StandardCharsets.UTF_8)));
  }

  public String address() {
    return "http://127.0.0.1:" + context.getEnvironment().getProperty("local.server.port");
  }

  @Override
  public void afterAll(ExtensionContext ended) {
    close();
  }

  @Override
  public void close() {
    context.close();
    outside.close();
    texts.close();
  }
}
