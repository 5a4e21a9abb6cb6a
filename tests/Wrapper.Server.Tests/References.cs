using Mono.Cecil;
using Mono.Cecil.Cil;

namespace Wrapper.Server.Tests;

/// <summary>
/// Every type that a compiled type refers to: in its declaration, in its members and inside their bodies, closures and
/// iterators included.
/// </summary>
internal static class References
{
    public static IEnumerable<TypeReference> Of(TypeDefinition type) =>
        Declared(type).Concat(type.NestedTypes.SelectMany(Of)).SelectMany(Parts);

    private static IEnumerable<TypeReference> Declared(TypeDefinition type) =>
        [
            .. type.BaseType is { } parent ? new[] { parent } : [],
            .. type.Interfaces.Select(each => each.InterfaceType),
            .. Attributes(type),
            .. type.Fields.SelectMany(field => Attributes(field).Prepend(field.FieldType)),
            .. type.Properties.SelectMany(property => Attributes(property).Prepend(property.PropertyType)),
            .. type.Methods.SelectMany(InMethod),
        ];

    private static IEnumerable<TypeReference> Attributes(ICustomAttributeProvider member) =>
        member.CustomAttributes.SelectMany(attribute =>
            attribute
                .ConstructorArguments.Select(argument => argument.Value)
                .OfType<TypeReference>()
                .Prepend(attribute.AttributeType)
        );

    private static IEnumerable<TypeReference> InMethod(MethodDefinition method) =>
        [
            method.ReturnType,
            .. Attributes(method),
            .. method.Parameters.Select(parameter => parameter.ParameterType),
            .. method.HasBody
                ? method
                    .Body.Variables.Select(variable => variable.VariableType)
                    .Concat(method.Body.Instructions.SelectMany(InInstruction))
                : [],
        ];

    private static IEnumerable<TypeReference> InInstruction(Instruction instruction) =>
        instruction.Operand switch
        {
            TypeReference type => [type],
            GenericInstanceMethod method => method.GenericArguments.Append(method.DeclaringType),
            MemberReference member => [member.DeclaringType],
            _ => [],
        };

    // Of List<Length[]>: List, Length.
    private static IEnumerable<TypeReference> Parts(TypeReference type) =>
        type switch
        {
            GenericInstanceType generic => generic.GenericArguments.SelectMany(Parts).Append(generic.ElementType),
            TypeSpecification of => Parts(of.ElementType),
            _ => [type],
        };
}
