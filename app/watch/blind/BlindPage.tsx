import { Button, Stack, Text, Textarea } from "@mantine/core";
import { Form, Link, useNavigation } from "react-router";
import { DataTable } from "../../components/DataTable";
import { Fold } from "../../components/Fold";
import { FormError } from "../../components/FormError";
import { PageHeader } from "../../components/PageHeader";
import { Frame } from "../../frame/Frame";
import { problemAt, sentenceAbove, type FormAnswer } from "../../frame/formAnswer";
import { watchStations } from "../../frame/stationNav/stations";
import { StationNav } from "../../frame/stationNav/StationNav";
import type { OpenBlindTest } from "./blind.server";
import type { TypedAnswers } from "./blindForms.server";
import { kindWords, resultWords } from "./blindWords";

interface BlindPageProps {
  readonly open: OpenBlindTest;
  readonly answered: FormAnswer<TypedAnswers> | null;
}

/** A blind test: the sheet for the testers to print, what they chose, and what that shows. What is in the cups stays folded. */
export function BlindPage({ open, answered }: BlindPageProps) {
  const isBusy = useNavigation().state !== "idle";
  const { kind, question, first, second, begun, sheets } = open;
  return (
    <Frame
      head={
        <>
          <PageHeader>{question}</PageHeader>
          <Text component="span" size="sm" c="var(--ink-2)">
            {kindWords[kind]}, begun {begun}
          </Text>
        </>
      }
      doors={
        <>
          <Link to="/watch/blind">Blind tests</Link>
          <Button h={36} onClick={() => window.print()} data-act="Print the sheet for the testers" data-key="p">
            Print
          </Button>
        </>
      }
      line={<StationNav stations={watchStations(`${open.answered} of ${sheets.length} answered`)} />}
    >
      <title>{`${question} Blind test, Tensidrum`}</title>
      <Stack gap="lg" maw={860}>
        <Text m={0} fz="var(--text-head)" className="not-printed" role="status">
          {resultWords(open)}
        </Text>
        <DataTable isRuled>
          <caption>For the testers: try the cups from left to right, rinse between them, tick one.</caption>
          <thead>
            <tr>
              <th scope="col">tester</th>
              <th scope="col">cups</th>
              <th scope="col" className="not-printed">
                {kind === "rated" ? "marks" : "chose"}
              </th>
            </tr>
          </thead>
          <tbody>
            {sheets.map(({ tester, codes, answer }) => (
              <tr key={tester}>
                <th scope="row">{tester}</th>
                <td>{codes.map((code) => (kind === "rated" ? `${code} ____` : `☐ ${code}`)).join("     ")}</td>
                <td className="not-printed">{answer ?? ""}</td>
              </tr>
            ))}
          </tbody>
        </DataTable>
        <Form method="post" className="not-printed">
          <Stack gap="sm" align="flex-start">
            <FormError>{sentenceAbove(answered)}</FormError>
            <Textarea
              name="answers"
              label={kind === "rated" ? "Their marks, a line each: tester and both marks" : "What they chose, a line each: tester and code"}
              rows={5}
              w="100%"
              maw={420}
              placeholder={kind === "rated" ? "1 4 2\n2 5 3" : "1 482\n2 317"}
              defaultValue={answered?.typed.answers ?? ""}
              error={problemAt(answered, "answers")}
            />
            <Button type="submit" h={40} loading={isBusy}>
              Keep the answers
            </Button>
          </Stack>
        </Form>
        <div className="not-printed">
          <Fold summary="What is in the cups (for whoever fills them)">
            <Text m="6px 0">
              A is {first}, B is {second}.
            </Text>
            <DataTable isRuled>
              <tbody>
                {sheets.map(({ tester, codes, cups }) => (
                  <tr key={tester}>
                    <th scope="row">{tester}</th>
                    <td>{codes.map((code, at) => `${code} ${cups[at]}`).join(", ")}</td>
                  </tr>
                ))}
              </tbody>
            </DataTable>
          </Fold>
        </div>
      </Stack>
    </Frame>
  );
}
