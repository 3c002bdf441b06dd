// SPDX-License-Identifier: GPL-3.0-or-later
#include <chalkline/ports/ports.hpp>

#include <libudev.h>

#include <algorithm>
#include <memory>

namespace chalkline::ports {
namespace {

std::string property(udev_device* device, const char* name) {
    const char* value = udev_device_get_property_value(device, name);
    std::string text = value ? value : "";
    std::replace(text.begin(), text.end(), '_', ' ');
    return text;
}

std::string first_of(std::string preferred, std::string otherwise) {
    return preferred.empty() ? std::move(otherwise) : std::move(preferred);
}

}  // namespace

std::vector<Port> list() {
    std::vector<Port> found;
    const std::unique_ptr<udev, decltype(&udev_unref)> context(udev_new(), udev_unref);
    if (!context) return found;
    const std::unique_ptr<udev_enumerate, decltype(&udev_enumerate_unref)> search(udev_enumerate_new(context.get()),
                                                                                  udev_enumerate_unref);
    udev_enumerate_add_match_subsystem(search.get(), "tty");
    udev_enumerate_scan_devices(search.get());
    for (auto* entry = udev_enumerate_get_list_entry(search.get()); entry; entry = udev_list_entry_get_next(entry)) {
        const std::unique_ptr<udev_device, decltype(&udev_device_unref)> device(
            udev_device_new_from_syspath(context.get(), udev_list_entry_get_name(entry)), udev_device_unref);
        // Consoles and terminals have no hardware parent.
        if (!device || !udev_device_get_parent(device.get())) continue;
        const char* path = udev_device_get_devnode(device.get());
        const char* driver = udev_device_get_driver(udev_device_get_parent(device.get()));
        // Placeholders of the platform's serial driver have no port behind them.
        if (!path || (driver && std::string(driver) == "serial8250")) continue;
        found.push_back(
            {path, first_of(property(device.get(), "ID_VENDOR_FROM_DATABASE"), property(device.get(), "ID_VENDOR")),
             first_of(property(device.get(), "ID_MODEL_FROM_DATABASE"), property(device.get(), "ID_MODEL")),
             property(device.get(), "ID_SERIAL_SHORT")});
    }
    std::sort(found.begin(), found.end(), [](const Port& a, const Port& b) { return a.path < b.path; });
    return found;
}

}  // namespace chalkline::ports
