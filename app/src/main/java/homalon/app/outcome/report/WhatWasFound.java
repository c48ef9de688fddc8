package homalon.app.outcome.report;

import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What a casting's report says first, for whoever is to decide before there is a report. */
@Component
@RequiredArgsConstructor
public class WhatWasFound {
    private final Reports reports;
    private final ReportDrawings drawings;
    private final WholeReport whole;

    /**
     * @param said a sentence each
     * @param map of the face as it came, a drawing that needs nothing else; empty where it was not read
     */
    public record Found(String shop, List<String> said, String map) {}

    public Found of(PartFile part, LengthWriter writer) {
        ReportView report = reports.of(part, writer);
        String map = drawings.of(part, writer).values().stream().findFirst().orElse("");
        List<String> said = new ArrayList<>(report.said());
        said.addAll(whole.cracked(part, writer));
        report.valves().ifPresent(v -> said.addAll(v.said()));
        return new Found(report.shop(), said, map);
    }
}
