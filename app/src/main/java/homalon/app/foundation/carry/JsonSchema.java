package homalon.app.foundation.carry;

import homalon.app.foundation.carry.Tables.Column;
import homalon.app.foundation.carry.Tables.Table;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The JSON Schema of an archive: what a line of each table is. */
final class JsonSchema {
    private JsonSchema() {}

    static Map<String, Object> of(List<Table> tables) {
        Map<String, Object> lines = new LinkedHashMap<>();
        for (Table table : tables) {
            Map<String, Object> columns = new LinkedHashMap<>();
            table.own().forEach(c -> columns.put(c.name(), column(c)));
            lines.put(
                    table.name(),
                    Map.of(
                            "type",
                            "object",
                            "additionalProperties",
                            false,
                            "required",
                            table.own().stream().map(Column::name).toList(),
                            "properties",
                            columns));
        }
        Map<String, Object> schema = new LinkedHashMap<>();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("title", "Everything of a shop");
        schema.put(
                "description",
                "A line of tables/NAME.jsonl is described under NAME. Lengths are whole nanometres. A path names a file of the archive.");
        schema.put("$defs", lines);
        return schema;
    }

    private static Map<String, Object> column(Column c) {
        Map<String, Object> said = new LinkedHashMap<>();
        String type = kind(c.type());
        if (!type.isEmpty()) {
            said.put("type", c.optional() ? List.of(type, "null") : type);
        }
        switch (c.type()) {
            case "uuid" -> said.put("format", "uuid");
            case "timestamp with time zone" -> said.put("format", "date-time");
            case "date" -> said.put("format", "date");
            case "bytea" -> said.put("description", "path of a file in this archive");
            default -> {}
        }
        return said;
    }

    /** Empty for what may be anything. */
    private static String kind(String type) {
        if (type.endsWith("[]")) {
            return "array";
        }
        return switch (type) {
            case "bigint", "integer", "smallint" -> "integer";
            case "numeric", "double precision", "real" -> "number";
            case "boolean" -> "boolean";
            case "json", "jsonb" -> "";
            default -> "string";
        };
    }
}
