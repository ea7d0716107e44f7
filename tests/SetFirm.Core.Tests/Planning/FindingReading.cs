using SetFirm.Core.Findings;

namespace SetFirm.Core.Tests.Planning;

/// <summary>Reads findings as what they say.</summary>
internal static class FindingReading
{
    extension(Finding finding)
    {
        /// <summary>The facts of a finding that is known to say this.</summary>
        public T Says<T>()
            where T : Notice => finding.Says.ShouldBeOfType<T>();
    }

    extension(Remedy remedy)
    {
        /// <summary>The effect of a remedy that is known to do this.</summary>
        public T Does<T>()
            where T : Mend => remedy.Does.ShouldBeOfType<T>();
    }

    /// <summary>Every member of a closed family.</summary>
    public static IEnumerable<Type> Family(Type family) => family.GetNestedTypes().Where(t => t.IsSubclassOf(family));
}
