package dev.yarbel.web.page;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.springframework.context.ApplicationContext;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.convert.ConversionService;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.expression.ThymeleafEvaluationContext;

/**
 * Turns templates into PDF documents: well-formed pages that carry their style within them and refer to nothing outside.
 */
@Component
public class Pdf {

    private static final String STYLE = "static/css/paper.css";

    private final ITemplateEngine templates;
    private final ApplicationContext beans;
    private final ConversionService conversions;

    Pdf(ITemplateEngine templates, ApplicationContext beans, ConversionService mvcConversionService) {
        XRLog.setLoggingEnabled(false);
        this.templates = templates;
        this.beans = beans;
        this.conversions = mvcConversionService;
    }

    /** How a sheet of paper lies. */
    public enum Paper {
        PORTRAIT("@page { size: A4 portrait; margin: 9mm 8mm; }"),
        LANDSCAPE("@page { size: A4 landscape; margin: 7mm 8mm; }");

        private final String style;

        Paper(String style) {
            this.style = style;
        }
    }

    /** A finished document. */
    public record Document(byte[] bytes, int pages) {

        /** The document as an answer that a browser shows or saves by this name. */
        public ResponseEntity<byte[]> named(String fileName) {
            return ResponseEntity.ok()
                    .contentType(MediaType.APPLICATION_PDF)
                    .header(
                            "Content-Disposition",
                            ContentDisposition.inline()
                                    .filename(fileName, StandardCharsets.UTF_8)
                                    .build()
                                    .toString())
                    .body(bytes);
        }
    }

    /** Writes a template as a document, in the reader's language. */
    public Document of(String template, Paper paper, Map<String, ?> model) {
        Map<String, Object> all = new LinkedHashMap<>(model);
        all.put(
                ThymeleafEvaluationContext.THYMELEAF_EVALUATION_CONTEXT_CONTEXT_VARIABLE_NAME,
                new ThymeleafEvaluationContext(beans, conversions));
        String page = templates
                .process(template, new Context(LocaleContextHolder.getLocale(), all))
                .replace("</head>", "<style>" + text(STYLE) + paper.style + "</style></head>");
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            builder(page).toStream(bytes).run();
            try (PDDocument document = Loader.loadPDF(bytes.toByteArray())) {
                return new Document(bytes.toByteArray(), document.getNumberOfPages());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static PdfRendererBuilder builder(String page) {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        builder.usePdfUaAccessibility(true);
        builder.useExternalResourceAccessControl(
                (address, kind) -> false, ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
        builder.withHtmlContent(page, null);
        font(builder, "Barlow_400Regular", "Barlow", 400);
        font(builder, "Barlow_600SemiBold", "Barlow", 700);
        font(builder, "BarlowCondensed_600SemiBold", "Barlow Condensed", 700);
        return builder;
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(() -> open("paper/" + file + ".ttf"), family, weight, FontStyle.NORMAL, true);
    }

    private static String text(String resource) {
        try (InputStream in = open(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static InputStream open(String resource) {
        try {
            return new ClassPathResource(resource).getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
