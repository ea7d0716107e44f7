using SetFirm.Bench;

return args switch
{
    ["ranking"] => RankingBench.Run(),
    ["planner", ..] => PlannerBench.Run(args[1..]),
    ["http", var server, var root] => await HttpLoad.RunAsync(server, root),
    ["keystroke", var server, var root, .. var profile] => await Keystroke.RunAsync(server, root, profile is [var file] ? file : null),
    ["taps", var server, var root] => await Taps.RunAsync(server, root),
    ["soak", var server, var root, var minutes] => await Soak.RunAsync(server, root, double.Parse(minutes, System.Globalization.CultureInfo.InvariantCulture)),
    ["page", var server, var root] => await PageBench.RunAsync(server, root),
    ["load", var server, var root] => await Load.RunAsync(server, root),
    ["size", var wwwroot] => FirstLoad.Print(wwwroot),
    _ => Usage(),
};

static int Usage()
{
    Console.Error.WriteLine("planner | ranking | page <server dll> <content root> | load <server dll> <content root> | http <server dll> <content root> | keystroke <server dll> <content root> [cpu profile] | taps <server dll> <content root> | soak <server dll> <content root> <minutes> | size <wwwroot>");
    return 2;
}
