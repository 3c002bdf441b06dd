// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/recipes/materials.hpp>

#include <algorithm>
#include <array>
#include <cctype>
#include <vector>

namespace chalkline::recipes {
namespace {

/// Words in lower case; everything but letters and digits parts them. Bytes above 127 count as letters (UTF-8).
std::vector<std::string> words_of(std::string_view text) {
    std::vector<std::string> words(1);
    for (const char c : text) {
        const auto byte = static_cast<unsigned char>(c);
        if (byte > 127 || std::isalnum(byte))
            words.back() += static_cast<char>(byte > 127 ? byte : std::tolower(byte));
        else if (!words.back().empty())
            words.emplace_back();
    }
    if (words.back().empty()) words.pop_back();
    return words;
}

struct NamedWord {
    std::string_view word, meaning;
};

// The first that fits decides, so what says more comes first: "birch ply" is plywood, not solid wood.
constexpr std::array families{
    NamedWord{"ply", "plywood"},
    NamedWord{"plywood", "plywood"},
    NamedWord{"mdf", "fibreboard"},
    NamedWord{"hdf", "fibreboard"},
    NamedWord{"hardboard", "fibreboard"},
    NamedWord{"chipboard", "fibreboard"},
    NamedWord{"acrylic", "acrylic"},
    NamedWord{"pmma", "acrylic"},
    NamedWord{"leather", "leather"},
    NamedWord{"card", "paper"},
    NamedWord{"cardboard", "paper"},
    NamedWord{"paper", "paper"},
    NamedWord{"slate", "stone"},
    NamedWord{"stone", "stone"},
    NamedWord{"granite", "stone"},
    NamedWord{"marble", "stone"},
    NamedWord{"tile", "ceramic"},
    NamedWord{"ceramic", "ceramic"},
    NamedWord{"porcelain", "ceramic"},
    NamedWord{"glass", "glass"},
    NamedWord{"anodised", "anodised metal"},
    NamedWord{"anodized", "anodised metal"},
    NamedWord{"steel", "bare metal"},
    NamedWord{"brass", "bare metal"},
    NamedWord{"aluminium", "bare metal"},
    NamedWord{"aluminum", "bare metal"},
    NamedWord{"cotton", "fabric"},
    NamedWord{"felt", "fabric"},
    NamedWord{"denim", "fabric"},
    NamedWord{"fabric", "fabric"},
    NamedWord{"cork", "cork"},
    NamedWord{"rubber", "rubber"},
    NamedWord{"bamboo", "wood"},
    NamedWord{"wood", "wood"},
    NamedWord{"birch", "wood"},
    NamedWord{"lime", "wood"},
    NamedWord{"basswood", "wood"},
    NamedWord{"oak", "wood"},
    NamedWord{"beech", "wood"},
    NamedWord{"maple", "wood"},
    NamedWord{"walnut", "wood"},
    NamedWord{"cherry", "wood"},
    NamedWord{"pine", "wood"},
    NamedWord{"spruce", "wood"},
    NamedWord{"poplar", "wood"},
    NamedWord{"ash", "wood"},
    NamedWord{"alder", "wood"},
    NamedWord{"cedar", "wood"},
};

constexpr std::array dangers{
    NamedWord{"pvc", "chlorine"},
    NamedWord{"vinyl", "chlorine"},
    NamedWord{"polyvinyl", "chlorine"},
    NamedWord{"upvc", "chlorine"},
    NamedWord{"pleather", "chlorine"},
    NamedWord{"chloride", "chlorine"},
    NamedWord{"neoprene", "chlorine"},
    NamedWord{"chloroprene", "chlorine"},
    NamedWord{"abs", "cyanide"},
    NamedWord{"polyurethane", "cyanide"},
    NamedWord{"acrylonitrile", "cyanide"},
    NamedWord{"nylon", "cyanide"},
    NamedWord{"melamine", "cyanide"},
    NamedWord{"ptfe", "fluorine"},
    NamedWord{"pvdf", "fluorine"},
    NamedWord{"fluoropolymer", "fluorine"},
    NamedWord{"fluoroelastomer", "fluorine"},
    NamedWord{"fkm", "fluorine"},
    NamedWord{"fibreglass", "resin"},
    NamedWord{"fiberglass", "resin"},
    NamedWord{"carbonfibre", "resin"},
    NamedWord{"epoxy", "resin"},
    NamedWord{"fr4", "resin"},
    NamedWord{"galvanised", "metal"},
    NamedWord{"galvanized", "metal"},
    NamedWord{"zinc", "metal"},
    NamedWord{"beryllium", "metal"},
    NamedWord{"polystyrene", "fire"},
    NamedWord{"styrofoam", "fire"},
    NamedWord{"xps", "fire"},
    NamedWord{"eps", "fire"},
    NamedWord{"foamboard", "fire"},
    NamedWord{"polycarbonate", "fire"},
    NamedWord{"hdpe", "fire"},
    NamedWord{"polypropylene", "fire"},
    NamedWord{"celluloid", "fire"},
};

/// Two words beside each other that mean it only together.
struct NamedPair {
    std::string_view first, second, meaning;
};
constexpr std::array danger_pairs{
    NamedPair{"artificial", "leather", "chlorine"},
    NamedPair{"faux", "leather", "chlorine"},
    NamedPair{"imitation", "leather", "chlorine"},
    NamedPair{"chrome", "tanned", "chromium"},
    NamedPair{"chrome", "leather", "chromium"},
    NamedPair{"carbon", "fibre", "resin"},
    NamedPair{"carbon", "fiber", "resin"},
    NamedPair{"glass", "fibre", "resin"},
    NamedPair{"pressure", "treated", "arsenic"},
    NamedPair{"treated", "wood", "arsenic"},
    NamedPair{"treated", "timber", "arsenic"},
    NamedPair{"foam", "board", "fire"},
    NamedPair{"foam", "core", "fire"},
};

bool denied(const std::vector<std::string>& words, std::size_t at) {
    const bool after = at + 1 < words.size() && words[at + 1] == "free";
    const bool before = at > 0 && (words[at - 1] == "no" || words[at - 1] == "not" || words[at - 1] == "without" ||
                                   words[at - 1] == "non");
    return after || before;
}

}  // namespace

std::string_view family_of(std::string_view material) {
    const auto words = words_of(material);
    for (const NamedWord& family : families)
        if (std::find(words.begin(), words.end(), family.word) != words.end()) return family.meaning;
    return {};
}

bool same_material(std::string_view a, std::string_view b) {
    return words_of(a) == words_of(b);
}

std::optional<Danger> danger_of(std::string_view material) {
    const auto words = words_of(material);
    for (std::size_t i = 0; i + 1 < words.size(); ++i)
        for (const NamedPair& pair : danger_pairs)
            if (words[i] == pair.first && words[i + 1] == pair.second && !denied(words, i) && !denied(words, i + 1))
                return Danger{pair.meaning, words[i] + " " + words[i + 1]};
    for (std::size_t i = 0; i < words.size(); ++i)
        for (const NamedWord& danger : dangers)
            if (words[i] == danger.word && !denied(words, i)) return Danger{danger.meaning, words[i]};
    return {};
}

}  // namespace chalkline::recipes
