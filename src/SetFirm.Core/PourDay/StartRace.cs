using System.Collections.Concurrent;
using System.Collections.Immutable;
using NodaTime;
using SetFirm.Core.Findings;
using SetFirm.Core.Setting;
using SetFirm.Core.Weather;

namespace SetFirm.Core.PourDay;

/// <summary>Ranks hundreds of starts by less than following each through every way: neighbours go alike, and most hours are plainly good or bad.</summary>
/// <remarks>
/// Every way is the same weather and mix at each hour, so that hours compare. (1) Slabs are followed from every third hour; between, each way's marks are laid through up to four
/// of them (Lagrange). A way is followed from its own hour where something comes or goes between the two beside it (frost, an age that is not reached), where a peak of drying
/// lies near its limit or on either side of it, and where minutes decide (dusk, the last moment of a pass): so what is laid between decides nothing. Rain, light and hands are
/// judged at each hour by itself. (2) All hours are judged by the first <see cref="First"/> ways. An hour is decided where no fault of the slab, the light or the hands comes
/// nearer to its limit than <see cref="SureDeviations"/> standard deviations of those ways, or where one lies past it by as much: with normal margins an hour at that very distance
/// has a way in a thousand on the other side. What does not hang on the slab (rain, mix, joints) is then counted over all ways, with the set in a line over each way's set
/// factor. The rest takes all ways. (3) The best few are summed in full: the order of those that are shown is that of the full sum.
/// Error against the full sum, 30 yards and weathers: under 2 points of chance in 99 % of hours, and the best hour the same or within a point (tested).
/// </remarks>
internal sealed class StartRace
{
    /// <summary>Ways that all hours are judged by.</summary>
    public const int First = 24;

    private const double SureDeviations = 3;

    /// <summary>An hour whose chance moves by more than this share with the doubt of its set is followed in all ways.</summary>
    private const double MostMoved = 0.01;

    /// <summary>Slabs are followed from every so many hours.</summary>
    private const int Stride = 3;

    /// <summary>Hours that one thread takes at a time.</summary>
    private const int Piece = 49;

    /// <summary>A peak within this share of its limit is not laid between.</summary>
    private const double Near = 0.05;

    /// <summary>Laid between two, a value lies no further beyond them than this share of what lies between.</summary>
    private const double Beyond = 0.25;

    private readonly IReadOnlyList<Instant> starts;
    private readonly HourlyWeather weather;
    private readonly ISlabModel model;
    private readonly Func<Instant, Settled> at;
    private readonly Budget? budget;
    private readonly Settled?[] settled;
    private readonly HourSum[] hours;

    // Days that a thread is done with: the next takes their clocks over.
    private readonly ConcurrentBag<DaySimulation> spare = [];

    public StartRace(IReadOnlyList<Instant> starts, HourlyWeather weather, ISlabModel model, Func<Instant, Settled> at, Budget? budget)
    {
        (this.starts, this.weather, this.model, this.at, this.budget) = (starts, weather, model, at, budget);
        (settled, hours) = (new Settled?[starts.Count], new HourSum[starts.Count]);
    }

    /// <summary>What each start comes to.</summary>
    /// <param name="members">Ways it may go, drawn as far as they are wanted.</param>
    /// <param name="count">Of them.</param>
    public StartOdds[] Odds(Func<int, IReadOnlyList<Member>> members, int count)
    {
        var first = count < 2 * First ? count : First;
        for (var i = 0; i < hours.Length; i++)
        {
            hours[i] = new HourSum(count);
        }

        Follow(members(first), 0, _ => true);
        if (first < count)
        {
            var all = members(count);
            Each(i => hours[i].IsOpen = !hours[i].Decide(Judge(i), starts[i], all, SureDeviations));
            Follow(all, first, i => hours[i].IsOpen);
        }

        return [.. hours.Select(h => h.Odds())];
    }

    /// <summary>One start, summed over all ways.</summary>
    public StartOdds Full(int start, IReadOnlyList<Member> members)
    {
        var day = new DaySimulation(settled[start]!.Pour, model, Closeness.Few, Spare());
        var odds = Judge(start).Odds(starts[start], members, day);
        spare.Add(day);
        return odds;
    }

    private DaySimulation? Spare() => spare.TryTake(out var day) ? day : null;

    private DayJudge Judge(int i) => new(settled[i]!.Pour, weather, settled[i]!.Schedule.JointAge);

    private void Each(Action<int> does) => Parallel.For(0, starts.Count, (i, loop) =>
    {
        if (budget?.IsOver == true)
        {
            loop.Stop();
            return;
        }

        does(i);
    });

    private void Follow(IReadOnlyList<Member> members, int from, Func<int, bool> wanted)
    {
        var pieces = Pieces().ToArray();
        Parallel.For(0, pieces.Length, Spare, (p, loop, before) =>
        {
            if (budget?.IsOver == true)
            {
                loop.Stop();
                return before;
            }

            return new OnePiece(this, pieces[p].From, pieces[p].To, wanted, before).Follow(members, from) ?? before;
        }, day =>
        {
            if (day is not null)
            {
                spare.Add(day);
            }
        });
        budget?.GoOn();
    }

    // Runs of hours one after another, no longer than a piece.
    private IEnumerable<(int From, int To)> Pieces()
    {
        for (var from = 0; from < starts.Count;)
        {
            var to = from + 1;
            while (to < starts.Count && to - from < Piece && starts[to] - starts[to - 1] == Duration.FromHours(1))
            {
                to++;
            }

            yield return (from, to);
            from = to;
        }
    }

    /// <summary>Some hours in a row, followed by one thread.</summary>
    private sealed class OnePiece
    {
        private readonly StartRace race;
        private readonly int from;
        private readonly DaySimulation[] days;
        private readonly DayJudge[] judges;
        private readonly bool[] wanted;
        private readonly Between?[] between;
        private readonly double[][] marks;
        private readonly bool[] followed;

        public OnePiece(StartRace race, int from, int to, Func<int, bool> wanted, DaySimulation? before)
        {
            (this.race, this.from) = (race, from);
            var count = to - from;
            this.wanted = [.. Enumerable.Range(from, count).Select(wanted)];
            (days, judges, between, marks, followed) = (new DaySimulation[count], new DayJudge[count], new Between?[count], new double[count][], new bool[count]);
            if (!this.wanted.Contains(true))
            {
                return;
            }

            for (var i = 0; i < count; i++)
            {
                var settled = race.settled[from + i] ??= race.at(race.starts[from + i]);
                days[i] = before = new DaySimulation(settled.Pour, race.model, Closeness.Few, before);
                judges[i] = race.Judge(from + i);
            }

            int[] nodes = [.. Enumerable.Range(0, count).Where(i => i % Stride == 0 || i == count - 1)];
            for (var i = 0; i < count; i++)
            {
                if (!this.wanted[i])
                {
                    continue;
                }

                between[i] = Array.IndexOf(nodes, i) >= 0 ? null : Between.Of(i, nodes, days);
                foreach (var node in between[i]?.Nodes ?? [i])
                {
                    marks[node] ??= new double[days[node].MarksLength];
                }
            }
        }

        public DaySimulation? Follow(IReadOnlyList<Member> members, int first)
        {
            if (!wanted.Contains(true))
            {
                return null;
            }

            Span<bool> has = stackalloc bool[HourSum.Kinds];
            var laid = new double[days.Max(d => d.MarksLength)];
            for (var m = first; m < members.Count && race.budget?.IsOver != true; m++)
            {
                var member = members[m];
                Array.Clear(followed);
                for (var i = 0; i < days.Length; i++)
                {
                    if (!wanted[i])
                    {
                        continue;
                    }

                    var start = race.starts[from + i];
                    DayOutcome outcome;
                    if (between[i] is { } of)
                    {
                        foreach (var node in of.Nodes)
                        {
                            Node(node, member);
                        }

                        var row = laid.AsSpan(0, days[i].MarksLength);
                        outcome = of.Lay(marks, row) ? days[i].Of(member, row) : default;
                        if (outcome == default || judges[i].IsNear(start, outcome))
                        {
                            outcome = days[i].Run(member, start);
                        }
                    }
                    else
                    {
                        Node(i, member);
                        outcome = days[i].Of(member, marks[i]);
                    }

                    race.hours[from + i].Add(m, judges[i], start, member, outcome, has);
                }
            }

            return days[^1];
        }

        private void Node(int node, Member member)
        {
            if (!followed[node])
            {
                days[node].Follow(member, race.starts[from + node], marks[node]);
                followed[node] = true;
            }
        }
    }

    /// <summary>How the marks of an hour lie between those of hours that were followed.</summary>
    private sealed class Between
    {
        private readonly int[] inner;
        private readonly double[] weights;
        private readonly double share;

        private readonly DaySimulation days;

        private Between(DaySimulation days, int[] nodes, int[] inner, double[] weights, double share) => (this.days, Nodes, this.inner, this.weights, this.share) = (days, nodes, inner, weights, share);

        /// <summary>Hours that are followed for it, the two beside it among them.</summary>
        public int[] Nodes { get; }

        /// <summary>Null where the hours beside it have other zones.</summary>
        public static Between? Of(int hour, int[] nodes, DaySimulation[] days)
        {
            var after = Array.FindIndex(nodes, n => n > hour);
            int[] inner = [nodes[after - 1], nodes[after]];
            if (inner.Any(n => !days[n].IsLike(days[hour])))
            {
                return null;
            }

            int[] all = [.. nodes.Skip(Math.Max(0, after - 2)).Take(after >= 2 ? 4 : 3).Where(n => inner.Contains(n) || days[n].IsLike(days[hour]))];
            double[] weights = [.. all.Select(n => all.Where(o => o != n).Aggregate(1.0, (w, o) => w * (hour - o) / (n - o)))];
            return new Between(days[hour], all, inner, weights, (hour - inner[0]) / (double)(inner[1] - inner[0]));
        }

        /// <summary>Lays a row between; false where something comes or goes between the two hours beside it.</summary>
        public bool Lay(double[][] marks, Span<double> row)
        {
            var (a, b) = (marks[inner[0]], marks[inner[1]]);
            for (var e = 0; e < row.Length; e++)
            {
                var (x, y) = (a[e], b[e]);
                if (!double.IsFinite(x) || !double.IsFinite(y))
                {
                    if (x != y && !days.Jumps(e))
                    {
                        return false;
                    }

                    row[e] = share < 0.5 ? x : y;
                    continue;
                }

                // What is most of all hours hops with each gust: it is laid between only where it does not matter how high it is.
                if (days.PeakLimit(e) is { } limit)
                {
                    if (Math.Max(x, y) > limit * (1 - Near) && Math.Min(x, y) < limit * (1 + Near))
                    {
                        return false;
                    }

                    row[e] = x + (share * (y - x));
                    continue;
                }

                var sum = 0.0;
                for (var n = 0; n < weights.Length; n++)
                {
                    sum += weights[n] * marks[Nodes[n]][e];
                }

                var slack = Beyond * Math.Abs(y - x);
                row[e] = double.IsFinite(sum) ? Math.Clamp(sum, Math.Min(x, y) - slack, Math.Max(x, y) + slack) : x + (share * (y - x));
            }

            return true;
        }
    }

    /// <summary>What an hour has come to so far.</summary>
    private sealed class HourSum(int ways)
    {
        public static readonly int Kinds = Enum.GetValues<DayFault>().Length;

        private readonly double[] done = new double[ways];
        private readonly int[] counts = new int[Kinds];
        private readonly List<Seen> seen = new(Math.Min(ways, First));
        private int judged;
        private int well;

        public bool IsOpen { get; set; }

        public void Add(int m, DayJudge judge, Instant start, Member member, in DayOutcome outcome, Span<bool> has)
        {
            Count(judge.Judge(start, member, outcome, has), Math.Min(outcome.DoneH, DaySimulation.Sight.TotalHours), has);
            if (m < First)
            {
                seen.Add(new Seen(member.SetFactor, outcome.DoneH, outcome.FinalSetH, judge.Margins(start, member, outcome)));
            }
        }

        /// <summary>Decides an hour by what was seen of it, if it is plain; else all ways are wanted.</summary>
        public bool Decide(DayJudge judge, Instant start, IReadOnlyList<Member> all, double deviations)
        {
            var plain = true;
            for (var f = 0; f < DayMargins.Count; f++)
            {
                var (mean, deviation, least, most) = Spread(f);
                if (least > 0 && mean - (deviations * deviation) > 0 && f != DayMargins.Frost)
                {
                    return true; // it goes wrong, whatever else
                }

                plain &= most < -DayMargins.Clear(f) && mean + (deviations * deviation) < 0;
            }

            if (!plain || seen.Any(s => !double.IsFinite(s.FinalSetH)))
            {
                return false;
            }

            // Nothing of the slab, the light and the hands goes wrong: the rest hangs on the air, and on how long it takes to set.
            Span<bool> has = stackalloc bool[Kinds];
            var (final, finish) = (Line(s => s.FinalSetH), Line(s => s.DoneH));
            var (later, sooner) = (0, 0);
            for (var m = judged; m < all.Count; m++)
            {
                later += Judged(m, final.Doubt, has) ? 1 : 0;
                sooner += Judged(m, -final.Doubt, has) ? 1 : 0;
            }

            if (Math.Abs(later - sooner) > MostMoved * all.Count)
            {
                return false; // it rains just as it sets
            }

            for (var m = judged; m < all.Count; m++)
            {
                Count(Judged(m, 0, has), finish.Of(all[m].SetFactor), has);
            }

            return true;

            bool Judged(int m, double moreH, Span<bool> faults) => judge.Judge(
                start, all[m], new DayOutcome(finish.Of(all[m].SetFactor), final.Of(all[m].SetFactor) + moreH, 0, -1, 0, 0, false), faults);
        }

        public StartOdds Odds()
        {
            var sorted = done.AsSpan(0, judged);
            sorted.Sort();
            var faults = ImmutableArray.CreateBuilder<(DayFault Fault, double Share)>();
            for (var f = 0; f < Kinds; f++)
            {
                if (counts[f] > 0)
                {
                    faults.Add(((DayFault)f, (double)counts[f] / judged));
                }
            }

            faults.Sort((a, b) => b.Share.CompareTo(a.Share));
            return new StartOdds((double)well / judged, (Members.Quantile(sorted, 0.1), Members.Quantile(sorted, 0.5), Members.Quantile(sorted, 0.9)), faults.ToImmutable());
        }

        private void Count(bool good, double doneH, ReadOnlySpan<bool> has)
        {
            done[judged++] = doneH;
            well += good ? 1 : 0;
            for (var f = 0; f < Kinds; f++)
            {
                counts[f] += has[f] ? 1 : 0;
            }
        }

        private (double Mean, double Deviation, double Least, double Most) Spread(int f)
        {
            var (sum, squares, least, most) = (0.0, 0.0, double.PositiveInfinity, double.NegativeInfinity);
            foreach (var s in seen)
            {
                var margin = s.Margins[f];
                (sum, squares, least, most) = (sum + margin, squares + (margin * margin), Math.Min(least, margin), Math.Max(most, margin));
            }

            var mean = sum / seen.Count;
            return (mean, Math.Sqrt(Math.Max(0, (squares / seen.Count) - (mean * mean)) * seen.Count / (seen.Count - 1)), least, most);
        }

        // Least squares over the set factor; what is the same in all ways stays what it is.
        private SetLine Line(Func<Seen, double> of)
        {
            var (x, y) = (seen.Average(s => s.SetFactor), seen.Average(of));
            if (seen.All(s => of(s) == of(seen[0])))
            {
                return new SetLine(of(seen[0]), 0, 0);
            }

            var (xy, xx) = (seen.Sum(s => (s.SetFactor - x) * (of(s) - y)), seen.Sum(s => (s.SetFactor - x) * (s.SetFactor - x)));
            var slope = xx > 0 ? xy / xx : 0;
            var line = new SetLine(y - (slope * x), slope, 0);
            return line with { Doubt = 2 * Math.Sqrt(seen.Average(s => (of(s) - line.Of(s.SetFactor)) * (of(s) - line.Of(s.SetFactor)))) };
        }

        /// <param name="At">Hours at a factor of none.</param>
        /// <param name="Slope">Hours for a factor of one.</param>
        /// <param name="Doubt">Two deviations from it, hours.</param>
        private readonly record struct SetLine(double At, double Slope, double Doubt)
        {
            public double Of(double setFactor) => At + (Slope * setFactor);
        }

        private sealed record Seen(double SetFactor, double DoneH, double FinalSetH, DayMargins Margins);
    }
}
