import dayjs from "dayjs";

/** A moment as the clock on the wall shows it, with the day when it is another one. The server may live in another zone. */
export function ClockTime({ at }: { readonly at: string }) {
  const moment = dayjs(at);
  return (
    <time dateTime={at} suppressHydrationWarning>
      {moment.isSame(dayjs(), "day") ? moment.format("HH:mm") : moment.format("ddd HH:mm")}
    </time>
  );
}
