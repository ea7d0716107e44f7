using SetFirm.Bench;

return args switch
{
    ["ranking"] => RankingBench.Run(),
    ["planner", ..] => PlannerBench.Run(args[1..]),
    ["http", var server, var root] => await HttpLoad.RunAsync(server, root),
    ["keystroke", var server, var root] => await Keystroke.RunAsync(server, root),
    ["taps", var server, var root] => await Taps.RunAsync(server, root),
    ["soak", var server, var root, var minutes] => await Soak.RunAsync(server, root, double.Parse(minutes, System.Globalization.CultureInfo.InvariantCulture)),
    ["size", var wwwroot] => FirstLoad.Print(wwwroot),
    _ => Usage(),
};

static int Usage()
{
    Console.Error.WriteLine("planner | ranking | http <server dll> <content root> | keystroke <server dll> <content root> | taps <server dll> <content root> | soak <server dll> <content root> <minutes> | size <wwwroot>");
    return 2;
}
