package org.quietlantern.server.person;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Service;

/** Everything about a person as an archive: JSON, and the texts that they brought in. */
@Service
class Personal {
  private final PersonMapper mapper;

  Personal(PersonMapper mapper) {
    this.mapper = mapper;
  }

  /** Writes a ZIP archive; one text is in memory at a time. */
  void write(int account, OutputStream to) throws IOException {
    try (ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8)) {
      put(zip, "account.json", mapper.account(account).getBytes(StandardCharsets.UTF_8));
      List<String> groups = mapper.everything(account);
      for (int n = 0; n < groups.size(); n++) {
        put(zip, "group-%d.json".formatted(n + 1), groups.get(n).getBytes(StandardCharsets.UTF_8));
      }
      for (PersonMapper.BroughtIn text : mapper.broughtIn(account)) {
        PersonMapper.Content content = mapper.content(account, text.pid());
        if (content != null) {
          put(zip, "texts/%s.%s".formatted(text.pid(), text.form()), content.bytes());
        }
      }
    }
  }

  private static void put(ZipOutputStream zip, String name, byte[] content) throws IOException {
    zip.putNextEntry(new ZipEntry(name));
    zip.write(content);
    zip.closeEntry();
  }
}
