package homalon.app.outcome.report;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What the shop has of one customer, to be taken along: asked for by them, or before they are erased. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CustomerFiles {
    private final Customers customers;
    private final CustomerArchive archive;
    private final Journal journal;

    @GetMapping("/customers/{id}/everything.zip")
    void everything(Page page, @PathVariable UUID id, HttpServletResponse response) throws IOException {
        Customer customer = customers.byId(id);
        // Without the name: the journal outlives a customer who is erased.
        journal.write(Journal.What.EXPORTED, page.me(), "all of one customer");
        response.setContentType("application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("customer-" + id + ".zip")
                        .build()
                        .toString());
        archive.write(customer, page.unit(), response.getOutputStream());
    }
}
