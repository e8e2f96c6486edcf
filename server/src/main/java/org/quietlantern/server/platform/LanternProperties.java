package org.quietlantern.server.platform;

import java.net.URI;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * Settings of an installation.
 *
 * @param data folder of everything that is not in the database: the index, the feed key
 * @param baseUrl how people reach it, without a slash at the end
 * @param jobs whether this process takes part in the work that falls due by itself
 * @param searchTime how long one question to the catalogue may take before it is given up
 * @param outboundTime how long one answer of another place may take from its first to its last byte
 * @param secret under which the secrets of the installation are sealed, the same for all its
 *     servers; empty: the file secret.key in the data folder
 * @param figuresToken by which the figures at {@code /manage/prometheus} may be read; empty: nobody
 *     may
 * @param resolver what stands before a DOI, so that it leads to its publisher
 * @param mail by which letters leave the house
 * @param outboundAllowed host names or addresses that may be fetched although they are not public
 */
@ConfigurationProperties("lantern")
public record LanternProperties(
    Path data,
    String baseUrl,
    @DefaultValue("true") boolean jobs,
    @DefaultValue("20s") Duration searchTime,
    @DefaultValue("2m") Duration outboundTime,
    @DefaultValue("") String secret,
    @DefaultValue("") String figuresToken,
    @DefaultValue("https://doi.org/") String resolver,
    @DefaultValue List<String> outboundAllowed,
    @DefaultValue Mail mail,
    @DefaultValue Demo demo) {

  /** The address of a publication that anyone can open, for good. */
  public String stableLink(String publication) {
    return baseUrl + "/p/" + publication;
  }

  /**
   * The mail server that letters are handed to.
   *
   * @param server HOST:PORT; empty: no letters are written
   * @param security {@code starttls}, {@code tls} or {@code none}
   * @param user who it is there; empty: nobody asks
   * @param from the address that letters come from
   * @param returns Maildir with reports of letters that could not be delivered; empty: none
   */
  public record Mail(
      @DefaultValue("") String server,
      @DefaultValue("starttls") String security,
      @DefaultValue("") String user,
      @DefaultValue("") String password,
      @DefaultValue("lantern@localhost") String from,
      @DefaultValue("") String returns) {

    public String host() {
      return server.substring(0, server.lastIndexOf(':'));
    }

    public int port() {
      return Integer.parseInt(server.substring(server.lastIndexOf(':') + 1));
    }

    /** Of the address that letters come from. */
    public String domain() {
      return from.substring(from.indexOf('@') + 1);
    }
  }

  /**
   * The demo's made-up world.
   *
   * @param outside where its sources are, and where they are told what day it is
   * @param pastDays how many days of the groups' past are lived through at the first start
   */
  public record Demo(
      @DefaultValue("false") boolean enabled,
      URI outside,
      String password,
      @DefaultValue("189") int pastDays) {}
}
