import { type CostAnswer, expectedCost } from '../../core/cost';
import { modelOf, type RemedyOption } from '../../core/job';
import { stockFor } from '../../core/stock';
import { useJob } from '../job/use-job';
import { useStock } from '../stores/use-stock';
import { useWorkshop } from '../workshop/use-workshop';

/** What the ladder comes to in money, where the workshop said what its hour costs. */
export function useCosts(options: RemedyOption[]): {
  currency: string;
  costs: CostAnswer;
  /** price of the parts of a remedy as the store has it; null where one is not known */
  partsOf(o: RemedyOption): number | null;
} | null {
  const { job } = useJob();
  const { stock } = useStock();
  const workshop = useWorkshop();
  if (!workshop || workshop.ratePerHour === 0 || options.length === 0) return null;
  const items = stock.map((s) => s.item);
  const partsOf = (o: RemedyOption): number | null => {
    const prices = (o.remedy.parts ?? []).map(
      (part) => stockFor(items, { model: modelOf(job.map), element: o.element, part })[0]?.item.price,
    );
    return prices.some((p) => p === undefined) ? null : prices.reduce<number>((sum, p) => sum + (p ?? 0), 0);
  };
  const left = options.filter((o) => !o.tried);
  const costs = expectedCost({
    remedies: left.map((o) => ({
      id: o.remedy.id,
      minutes: o.minutes,
      parts: partsOf(o) ?? o.remedy.cost ?? 0,
      lasts: o.remedy.fixes,
    })),
    ratePerHour: workshop.ratePerHour,
    refer: { price: job.intake?.weighed?.makerPrice ?? 0 },
  });
  return { currency: workshop.currency, costs, partsOf };
}
