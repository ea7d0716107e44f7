namespace SetFirm.Core.Shapes;

/// <summary>A place on the plan, metres: x to the right, y up the page.</summary>
public readonly record struct PlanPoint(double X, double Y);
