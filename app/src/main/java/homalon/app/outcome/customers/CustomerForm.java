package homalon.app.outcome.customers;

import homalon.app.casting.customer.Customer;

/** What is kept of a customer, as it was keyed. */
record CustomerForm(String name, String phone, String mail, String unit, String days, String notes, int version) {
    static CustomerForm of(Customer c) {
        return new CustomerForm(
                c.name(),
                c.phone(),
                c.mail(),
                c.unit().map(Enum::name).orElse(""),
                c.days().map(Enum::name).orElse(""),
                c.notes(),
                c.version());
    }
}
