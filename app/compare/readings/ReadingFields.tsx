import { SimpleGrid } from "@mantine/core";
import { NumberField } from "../../components/NumberField";
import { problemAt, type FormAnswer } from "../../frame/formAnswer";
import { readingFields, type TypedReadings } from "./fields";

interface ReadingFieldsProps {
  /** What stands there, as it would be typed. */
  readonly usual: TypedReadings;
  readonly answered: FormAnswer<unknown> | null;
}

/** Fields for everything that is measured of a wash and compared. */
export function ReadingFields({ usual, answered }: ReadingFieldsProps) {
  return (
    <SimpleGrid cols={{ base: 2, sm: 3 }} spacing="sm">
      {readingFields.map(({ field, label, unit }) => (
        <NumberField
          key={field}
          name={field}
          label={label}
          {...(unit === "" ? {} : { unit })}
          defaultValue={usual[field]}
          error={problemAt(answered, field)}
        />
      ))}
    </SimpleGrid>
  );
}
