package org.quietlantern.server.platform.web;

import java.util.concurrent.TimeUnit;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Serves the pages: every address of the application opens the same shell. */
@Configuration
class Shell implements WebMvcConfigurer {
  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    for (String address :
        new String[] {
          "/",
          "/sign-in",
          "/enter",
          "/forgotten",
          "/address",
          "/join",
          "/found",
          "/open/**",
          "/g/**"
        }) {
      registry.addViewController(address).setViewName("forward:/index.html");
    }
  }

  /** Files under /assets have their content's hash in their names. */
  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).cachePublic().immutable());
  }
}
