using SetFirm.Core.Findings;
using SetFirm.Core.Tests.Planning;

namespace SetFirm.Core.Tests.Findings;

/// <summary>The families of what can be said are closed.</summary>
public sealed class FamilyTests
{
    public static TheoryData<Type> Families => [typeof(Notice), typeof(Mend), typeof(Why)];

    [Theory]
    [MemberData(nameof(Families))]
    public void Nothing_outside_can_join_a_family(Type family)
    {
        family.IsAbstract.ShouldBeTrue();
        family.GetConstructors(System.Reflection.BindingFlags.Instance | System.Reflection.BindingFlags.NonPublic).ShouldAllBe(c => c.IsPrivate || (c.IsFamily && c.GetParameters().Length == 1));
        var members = FindingReading.Family(family).ToArray();
        members.Length.ShouldBeGreaterThan(30);
        members.ShouldAllBe(m => m.IsSealed);
    }

    [Theory]
    [MemberData(nameof(Families))]
    public void A_member_is_told_by_its_own_name_and_no_two_by_one(Type family)
    {
        var names = FindingReading.Family(family).Select(m => m.Name).ToArray();
        names.ShouldBeUnique();
        names.ShouldAllBe(n => char.IsUpper(n[0]) && n.All(char.IsLetterOrDigit));
    }

    [Fact]
    public void What_is_said_twice_in_the_same_words_is_the_same()
    {
        new Notice.PouredTwice(2).ShouldBe(new Notice.PouredTwice(2));
        new Notice.PouredTwice(2).ShouldNotBe(new Notice.PouredTwice(3));
        new Finding(Severity.Error, Places.Pours, new Notice.EmptyPour()).Remedies.ShouldBeEmpty();
    }
}
