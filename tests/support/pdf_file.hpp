// SPDX-License-Identifier: GPL-3.0-or-later
// Small PDF files written down in tests.
#pragma once
#include <cstdio>
#include <string>
#include <vector>

namespace chalkline::test {

/// A PDF with one page for each content, 144 × 72 pt.
inline std::string pdf(const std::vector<std::string>& contents) {
    std::string kids;
    for (std::size_t i = 0; i < contents.size(); ++i)
        kids += std::to_string(3 + 2 * i) + " 0 R ";
    std::vector<std::string> objects{
        "<</Type/Catalog/Pages 2 0 R>>",
        "<</Type/Pages/Count " + std::to_string(contents.size()) + "/Kids[" + kids + "]/MediaBox[0 0 144 72]>>"};
    const std::string form = std::to_string(3 + 2 * contents.size()), mask = std::to_string(4 + 2 * contents.size()),
                      image = std::to_string(5 + 2 * contents.size());
    for (const std::string& content : contents) {
        objects.push_back("<</Type/Page/Parent 2 0 R/Resources<</ExtGState<</V<</ca 0.5>>/M<</SMask<</S/Luminosity/G " +
                          mask + " 0 R>>>>>>/XObject<</G " + form + " 0 R/I " + image + " 0 R>>>>/Contents " +
                          std::to_string(objects.size() + 2) + " 0 R>>");
        objects.push_back("<</Length " + std::to_string(content.size()) + ">>stream\n" + content + "\nendstream");
    }
    // /V lets half through; /G is a group of two squares that overlap; /M hides by light all but the first half inch.
    const std::string group = "0 0 36 36 re f 18 0 36 36 re f";
    objects.push_back("<</Type/XObject/Subtype/Form/BBox[0 0 144 72]/Group<</S/Transparency>>/Length " +
                      std::to_string(group.size()) + ">>stream\n" + group + "\nendstream");
    const std::string light = "0 g 0 0 144 72 re f 1 g 0 0 36 72 re f";
    objects.push_back("<</Type/XObject/Subtype/Form/BBox[0 0 144 72]/Group<</S/Transparency/CS/DeviceGray>>/Length " +
                      std::to_string(light.size()) + ">>stream\n" + light + "\nendstream");
    // /I is a black picture whose own mask hides its right half.
    const std::string picture = "/Type/XObject/Subtype/Image/Width 8/Height 1/ColorSpace/DeviceGray/BitsPerComponent 8";
    const std::string dots = "/Filter/ASCIIHexDecode/Length 17";
    objects.push_back("<<" + picture + dots + "/SMask " + std::to_string(objects.size() + 2) +
                      " 0 R>>stream\n0000000000000000>\nendstream");
    objects.push_back("<<" + picture + dots + ">>stream\nffffffff00000000>\nendstream");
    std::string file = "%PDF-1.4\n", table;
    for (std::size_t i = 0; i < objects.size(); ++i) {
        char entry[32];
        std::snprintf(entry, sizeof entry, "%010zu 00000 n \n", file.size());
        table += entry;
        file += std::to_string(i + 1) + " 0 obj\n" + objects[i] + "\nendobj\n";
    }
    const std::string start = std::to_string(file.size()), size = std::to_string(objects.size() + 1);
    return file + "xref\n0 " + size + "\n0000000000 65535 f \n" + table + "trailer<</Size " + size +
           "/Root 1 0 R>>\nstartxref\n" + start + "\n%%EOF\n";
}

}  // namespace chalkline::test
