package org.quietlantern.server.opened;

import org.quietlantern.server.platform.AddressCode;
import org.quietlantern.server.platform.LanternProperties;
import org.quietlantern.server.platform.Secrets;
import org.springframework.stereotype.Component;

/** Addresses of folders that are open to whoever has them. */
@Component
class FolderLinkAddresses {
  private final AddressCode code;
  private final String baseUrl;

  FolderLinkAddresses(Secrets secrets, LanternProperties properties) {
    this.code = new AddressCode(secrets.of("folder-link", Secrets::fresh));
    this.baseUrl = properties.baseUrl();
  }

  String page(String link) {
    return baseUrl + "/shared/" + link + "/" + code.of(link);
  }

  String feed(String link) {
    return page(link) + ".atom";
  }

  String bibliography(String link) {
    return page(link) + "/bibliography";
  }

  boolean isRight(String link, String secret) {
    return code.isRight(link, secret);
  }
}
