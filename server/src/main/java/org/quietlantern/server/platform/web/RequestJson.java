package org.quietlantern.server.platform.web;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.LocalDate;
import org.quietlantern.core.publication.Text;
import org.quietlantern.server.platform.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.http.converter.json.JacksonJsonHttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import tools.jackson.core.JsonParser;
import tools.jackson.core.Version;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedMember;
import tools.jackson.databind.introspect.NopAnnotationIntrospector;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * How bodies of requests are read: every field has to be there unless marked {@link Nullable}, as
 * the description of the API says, and text has no letters that neither the database nor XML can
 * hold. What is stored is read as it was stored.
 */
@Configuration
class RequestJson implements WebMvcConfigurer {
  private final JsonMapper mapper;

  RequestJson(JsonMapper mapper) {
    this.mapper = mapper;
  }

  @Override
  public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
    JacksonModule text =
        new SimpleModule()
            .addDeserializer(String.class, new LegalText())
            .addDeserializer(LocalDate.class, new Days.InBody());
    JsonMapper strict = mapper.rebuild().addModules(text, new RequiredFields()).build();
    builder.withJsonConverter(new JacksonJsonHttpMessageConverter(strict));
  }

  private static final class LegalText extends StdScalarDeserializer<String> {
    LegalText() {
      super(String.class);
    }

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
      return Text.legal(StringDeserializer.instance.deserialize(parser, context));
    }
  }

  private static final class RequiredFields extends JacksonModule {
    @Override
    public String getModuleName() {
      return "required-fields";
    }

    @Override
    public Version version() {
      return Version.unknownVersion();
    }

    @Override
    public void setupModule(SetupContext context) {
      context.insertAnnotationIntrospector(new Marks());
    }
  }

  private static final class Marks extends NopAnnotationIntrospector {
    private static final long serialVersionUID = 1;

    @Override
    public Boolean hasRequiredMarker(MapperConfig<?> config, AnnotatedMember member) {
      return member.getDeclaringClass().isRecord() && !mayBeAbsent(member);
    }

    @Override
    public JsonSetter.Value findSetterInfo(MapperConfig<?> config, Annotated field) {
      boolean isOurs =
          field instanceof AnnotatedMember member && member.getDeclaringClass().isRecord();
      // What is in a list is there, also where the list may be absent.
      return isOurs
          ? JsonSetter.Value.construct(mayBeAbsent(field) ? Nulls.SET : Nulls.FAIL, Nulls.FAIL)
          : JsonSetter.Value.empty();
    }

    private static boolean mayBeAbsent(Annotated field) {
      return field.hasAnnotation(Nullable.class);
    }
  }
}
