package org.quietlantern.server.reading;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.quietlantern.core.text.HtmlTaking;
import org.quietlantern.core.text.PdfTaking;
import org.quietlantern.core.text.TakenText;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes words out of files in a process of its own with little memory, so that a hostile file ends
 * this and nothing else. A line in, {@code FORM PATH}, is answered by a line out: {@code ok}, and
 * what was taken stands as JSON at {@code PATH.json}; or {@code no} and a sentence. Ends with its
 * input.
 */
public final class WordTakingMain {
  private WordTakingMain() {}

  public static void main(String[] arguments) throws IOException {
    PrintStream answers = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    // Whatever a library says would be taken for an answer.
    System.setOut(System.err);
    JsonMapper json = JsonMapper.builder().build();
    try (BufferedReader lines =
        new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        int gap = line.indexOf(' ');
        Path file = Path.of(line.substring(gap + 1));
        try {
          TakenText text = take(TakenText.Form.valueOf(line.substring(0, gap)), file);
          Files.write(Path.of(file + ".json"), json.writeValueAsBytes(text));
          answers.println("ok");
        } catch (TakenText.Unreadable why) {
          answers.println("no " + why.getMessage());
        }
      }
    }
  }

  private static TakenText take(TakenText.Form form, Path file)
      throws IOException, TakenText.Unreadable {
    return switch (form) {
      case PDF -> PdfTaking.take(file);
      case HTML -> HtmlTaking.take(Files.readAllBytes(file));
    };
  }
}
