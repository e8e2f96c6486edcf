package org.quietlantern.server.reading;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.quietlantern.core.text.HtmlTaking;
import org.quietlantern.core.text.NotedPdf;
import org.quietlantern.core.text.PdfTaking;
import org.quietlantern.core.text.TakenText;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reads and writes files of others in a process of its own with little memory, so that a hostile
 * one ends this and nothing else. A line in, {@code WHAT PATH}, is answered by a line out: {@code
 * ok} or {@code no} and a sentence. {@code PDF} and {@code HTML} take words out, to {@code
 * PATH.json}; {@code NOTED} puts the notes at {@code PATH.json} into a PDF, to {@code PATH.pdf}.
 * Ends with its input.
 */
public final class TextWorkerMain {
  static final String NOTED = "NOTED";

  private TextWorkerMain() {}

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
          work(line.substring(0, gap), file, Path.of(file + ".json"), json);
          answers.println("ok");
        } catch (TakenText.Unreadable why) {
          answers.println("no " + why.getMessage());
        }
      }
    }
  }

  private static void work(String what, Path file, Path values, JsonMapper json)
      throws IOException, TakenText.Unreadable {
    if (what.equals(NOTED)) {
      NotedPdf.Note[] notes = json.readValue(values.toFile(), NotedPdf.Note[].class);
      NotedPdf.write(file, List.of(notes), Path.of(file + ".pdf"));
    } else {
      TakenText text =
          what.equals(TakenText.Form.PDF.name())
              ? PdfTaking.take(file)
              : HtmlTaking.take(Files.readAllBytes(file));
      Files.write(values, json.writeValueAsBytes(text));
    }
  }
}
